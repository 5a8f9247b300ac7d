package yellowrail.core.part.stress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.part.stress.RectifiedSupply.Drawn;

class RectifiedSupplyTest {

    /** 330 V AC, 50 Hz, 47 uF, read as 420 V at 110 mA. */
    private static final RectifiedSupply SUPPLY =
            RectifiedSupply.through(330, 50, 47e-6, 420, 0.11).orElseThrow();

    /** A circuit simulator with 74.87 ohm: 419.9 V, 17.13 V of ripple, 227.4 mA RMS; at 250 mA 386.7, 34.63, 449.3. */
    @Test
    void itPassesThroughWhatWasReadAndAgreesWithTheSimulator() {
        assertThat(SUPPLY.ohms()).isCloseTo(74.87, within(0.05));
        Drawn read = SUPPLY.drawing(0.11);
        assertThat(read.volts()).isCloseTo(419.93, within(0.2));
        assertThat(read.ripple()).isCloseTo(17.126, within(0.05));
        assertThat(read.rmsAmps()).isCloseTo(0.2274, within(5e-4));
        assertThat(read.rippleAmps()).isCloseTo(Math.sqrt(0.2274 * 0.2274 - 0.11 * 0.11), within(5e-4));
        Drawn driven = SUPPLY.drawing(0.25);
        assertThat(driven.volts()).isCloseTo(386.67, within(0.2));
        assertThat(driven.ripple()).isCloseTo(34.633, within(0.1));
        assertThat(driven.rmsAmps()).isCloseTo(0.4493, within(1e-3));
        assertThat(SUPPLY.voltAmperes(driven)).isCloseTo(330 * 0.4493, within(0.4));
    }

    @Test
    void aWindingThatDoesNotMakeWhatWasReadIsSaidToNotFit() {
        assertThat(RectifiedSupply.through(250, 50, 47e-6, 420, 0.11)).isEmpty();
        PlateSupply supply = PlateSupply.of(OptionalDouble.of(250), OptionalDouble.empty(), 50, 420, 0.11);
        assertThat(supply.fitted()).isEmpty();
        assertThat(supply.says())
                .containsExactly(new PartRemark.ReservoirTaken(47e-6), new PartRemark.WindingDoesNotFit(250, 420));
    }

    @Test
    void withoutAWindingOnTheSheetACustomaryOneIsTakenAndSaid() {
        PlateSupply supply = PlateSupply.of(OptionalDouble.empty(), OptionalDouble.of(100e-6), 60, 420, 0.11);
        assertThat(supply.says()).containsExactly(new PartRemark.WindingTaken(420 / 1.25));
        assertThat(supply.fitted().orElseThrow().drawing(0.11).volts()).isCloseTo(420, within(0.2));
    }

    /** The reservoir's current is what the pulses carry beyond their mean: never less than that, and it grows. */
    @Property(tries = 30)
    void moreCurrentMoreRippleLessVolts(
            @ForAll @DoubleRange(min = 0.03, max = 0.2) double amps,
            @ForAll @DoubleRange(min = 1.1, max = 2) double more) {
        Drawn less = SUPPLY.drawing(amps);
        Drawn drawn = SUPPLY.drawing(more * amps);
        assertThat(drawn.volts()).isLessThan(less.volts());
        assertThat(drawn.ripple()).isGreaterThan(less.ripple());
        assertThat(drawn.rippleAmps()).isGreaterThan(less.rippleAmps());
        assertThat(less.rippleAmps()).isGreaterThan(amps);
    }
}
