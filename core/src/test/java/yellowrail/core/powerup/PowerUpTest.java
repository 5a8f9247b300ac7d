package yellowrail.core.powerup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.balance.SwingTest;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.reading.Moment;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.MainsRange;

class PowerUpTest {

    private static Moment moment(String... lines) {
        return new Moment(Amps.readings(Amps.pair(), lines));
    }

    @ParameterizedTest
    @CsvSource({"6.3,GOOD", "6.61,GOOD", "5.99,GOOD", "6.62,ALLOWED", "6.93,ALLOWED", "5.67,ALLOWED", "6.94,TOO_HIGH", "5.6,TOO_LOW"})
    void heatersWithinFivePerCentAreGoodWithinTenAllowed(double volts, HeaterCheck.Verdict verdict) {
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("heater " + volts)).orElseThrow().verdict()).isEqualTo(verdict);
    }

    @Test
    void heatersAreToldAtTheMainsReadAndWithoutTubesNotJudged() {
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("plate 400"))).isEmpty();
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("heater 7.1 bare")).orElseThrow().verdict()).isEqualTo(HeaterCheck.Verdict.NO_TUBES);
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("heater 7.1 bare", "mains 126", "heater 6.6")).orElseThrow().words())
                .contains("4.8 % off", "at 126.0 V of mains; at 120.0 V it would be 6.29 V", "7.10 V without tubes");
    }

    /** sqrt(2) 350 V 1.05 = 519.7 V. */
    @Test
    void theColdStartStandsAtThePeak() {
        Supply supply = new Supply(Rectifier.SILICON, false, OptionalDouble.of(350), OptionalDouble.of(500), OptionalDouble.empty(), OptionalDouble.empty(),
                OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        ColdStart start = ColdStart.of(supply, 1.05).orElseThrow();
        assertThat(start.volts()).isCloseTo(519.7, within(0.05));
        assertThat(start.over()).isTrue();
        assertThat(start.words()).contains("\u221a2 \u00d7 350.0 V \u00d7 1.050 = 519.7 V").contains("too little");
        assertThat(ColdStart.of(supply, 1).orElseThrow().words()).contains("hardly a margin");
        assertThat(ColdStart.of(supply.with(Rectifier.TUBE), 1)).isEmpty();
        assertThat(ColdStart.of(Supply.UNKNOWN, 1)).isEmpty();
    }

    @Test
    void highMainsShowTheirDissipation() {
        List<TubeIdle> tubes = Amps.idle(Amps.pair(), "V1 36.4 V2 33.9 plate 452");
        MainsRange range = MainsRange.of(Amps.stage(Amps.pair()), tubes, 1, Mains.customary(Amps.pair().bias()), MainsRange.USUAL);
        assertThat(range.rows()).hasSize(5);
        assertThat(range.rows().get(4).mains()).isCloseTo(132, within(1e-9));
        assertThat(range.rows().get(4).watts()).isCloseTo(15.63 * Math.pow(1.1, 2.5), within(0.01));
        assertThat(range.rows().get(2).ratio()).isCloseTo(0.521, within(0.0005));
        assertThat(range.rows().get(0).label()).isEqualTo("V1");
    }

    @Test
    void aMatchedPairSwingsInMirrorImages() {
        SwingTest matched = SwingTest.of(Amps.pair(), moment("swing a V1 38.2 V2 31", "swing b V1 31.5 V2 38")).orElseThrow();
        assertThat(matched.matched()).isTrue();
        assertThat(matched.words()).contains("Mirror images within 1.6 %").contains("cannot see");
        SwingTest strong = SwingTest.of(Amps.pair(), moment("swing a V1 45 V2 31", "swing b V1 38 V2 37")).orElseThrow();
        assertThat(strong.words()).contains("V1 is the stronger tube");
        assertThat(SwingTest.of(Amps.pair(), moment("swing a V1 45 V2 45", "swing b V1 38 V2 38")).orElseThrow().words()).contains("a range pot, not a balance pot");
        assertThat(SwingTest.of(Amps.pair(), moment("swing a V1 45 V2 31", "swing b V1 31 V2 45")).orElseThrow().matched()).isTrue();
        assertThat(SwingTest.of(Amps.pair(), moment("swing a V1 45 V2 31", "swing b V1 38"))).isEmpty();
    }
}
