package yellowrail.core.rectifier;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.tube.RectifierType;

class CapacitorInputTest {

    private static RectifierType type(String name) {
        return RectifierType.find(name).orElseThrow();
    }

    /**
     * A circuit simulator with 480 V peak, 80 ohm before each plate, 2000 uF and 150 mA: 396.66 V, pulses of 622.8 mA.
     */
    @Test
    void itAgreesWithTheSimulator() {
        CapacitorInput input = new CapacitorInput(480, 80, type("GZ34"), 1);
        assertThat(input.volts(0.15)).isCloseTo(396.658, within(0.05));
        assertThat(input.peakAmps(0.15)).isCloseTo(0.62283, within(2e-4));
    }

    /** Without copper worth the name the plates drop what the law says at the peak of each pulse. */
    @Test
    void aTubeDropsByTheSpaceChargeLaw() {
        CapacitorInput input = new CapacitorInput(450, 1e-3, type("GZ34"), 1);
        double amps = 0.15;
        double drop = 450 - input.volts(amps);
        assertThat(drop).isCloseTo(17 * Math.pow(input.peakAmps(amps) / 0.225, 2.0 / 3), within(0.01));
        assertThat(input.peakAmps(amps)).isBetween(3 * amps, 7 * amps);
    }

    @ParameterizedTest
    @CsvSource({"5U4GB, GZ34", "GZ34, silicon", "silicon, 5Y3GT", "EZ81, silicon"})
    void theWindingThatIsFoundMakesWhatWasRead(String in, String wants) {
        CapacitorInput present =
                CapacitorInput.through(420, 0.12, 80, type(in), 1).orElseThrow();
        assertThat(present.volts(0.12)).isCloseTo(420, within(0.001));
        assertThat(present.with(type(wants), 1).with(type(in), 1).volts(0.12)).isCloseTo(420, within(0.001));
    }

    /** The mean of the pulses is what is drawn: an integral of another kind over the same cycle. */
    @Test
    void whatFlowsInIsWhatIsDrawn() {
        CapacitorInput input = new CapacitorInput(400, 100, type("silicon"), 1);
        double volts = input.volts(0.2);
        double charge = 0;
        int steps = 20_000;
        for (int i = 0; i < steps; i++) {
            double at = Math.PI * ((i + 0.5) / steps - 0.5);
            charge += Math.max(0, 400 * Math.cos(at) - volts - 1.5) / 100 / steps;
        }
        assertThat(charge).isCloseTo(0.2, within(1e-4));
    }

    @Test
    void whatNoWindingMakesHasNone() {
        assertThat(CapacitorInput.through(300, 0, 80, type("GZ34"), 1))
                .as("nothing drawn")
                .isEmpty();
        assertThat(CapacitorInput.through(20, 5, 80, type("EZ80"), 1))
                .as("far too much")
                .isEmpty();
        assertThat(Exchange.of(type("EZ80"), type("silicon"), 20, 5)).isEmpty();
    }

    /** Pulses make the difference of two rectifiers more than the difference of their drops at the mean. */
    @Test
    void anExchangeTellsHowFarItMayLieOff() {
        Exchange exchange = Exchange.of(type("5U4GB"), type("GZ34"), 400, 0.15).orElseThrow();
        assertThat(exchange.rise()).isBetween(15.0, 45.0);
        assertThat(exchange.plusMinus()).isBetween(2.0, 12.0);
        assertThat(exchange.before().slopeOhms(0.15))
                .isGreaterThan(exchange.after().slopeOhms(0.15));
        assertThat(exchange.before().peakVolts()).isBetween(425.0, 550.0);
        Exchange back = Exchange.of(type("GZ34"), type("5U4GB"), 400 + exchange.rise(), 0.15)
                .orElseThrow();
        assertThat(back.rise()).isCloseTo(-exchange.rise(), within(0.01));
    }
}
