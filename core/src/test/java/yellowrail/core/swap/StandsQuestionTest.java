package yellowrail.core.swap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;

/** As it stands first, then what setting it up would demand; and nothing fits that too little is known of. */
class StandsQuestionTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private static Fittings load(double ohms) {
        return new Fittings(
                OptionalDouble.of(6),
                OptionalDouble.of(1.2),
                "GZ34",
                OptionalDouble.of(40e-6),
                OptionalDouble.of(0.250),
                NO,
                OptionalDouble.of(0.120),
                OptionalDouble.of(150),
                OptionalDouble.of(70),
                OptionalDouble.of(100_000),
                OptionalDouble.of(ohms),
                OptionalDouble.of(-60),
                OptionalDouble.of(-15),
                OptionalDouble.of(60),
                NO,
                "",
                Fittings.PinOne.UNKNOWN,
                "",
                Iron.UNKNOWN);
    }

    private static SwapAmp amp(Topology topology, BiasKind bias, double plate, double grid, OptionalDouble ohms) {
        boolean single = topology == Topology.SINGLE_ENDED;
        return new SwapAmp(
                topology,
                bias,
                ScreenSense.Connection.PENTODE,
                single ? 1 : 2,
                1,
                OptionalDouble.of(plate),
                OptionalDouble.of(plate - 5),
                NO,
                single ? NO : OptionalDouble.of(grid),
                ohms,
                1,
                OptionalDouble.of(10),
                OptionalDouble.of(0.010),
                NO,
                Target.customary(bias, topology),
                load(single ? 3000 : 6600));
    }

    private static SwapReport swap(SwapAmp amp, String in, String wants) {
        return new SwapCheck(amp, Amps.type(in)).of(Amps.type(wants));
    }

    private static <T> T said(SwapReport report, Class<T> finding) {
        return report.lines().get(0).says().stream()
                .filter(finding::isInstance)
                .map(finding::cast)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aFixedBiasSwapTellsWhatItDrawsThereAndThatItIsSet() {
        SwapAmp amp = amp(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, 355, -30, NO);
        SwapReport report = swap(amp, "6L6GC", "KT66");
        Line first = report.lines().get(0);
        assertThat(first.question()).isEqualTo(SwapQuestion.AS_IT_STANDS);
        StandsFinding.Draws draws = said(report, StandsFinding.Draws.class);
        assertThat(draws.amps()).isBetween(0.050, 0.100);
        assertThat(draws.plusMinus()).as("one point tells little of it").isBetween(0.020, 0.060);
        assertThat(draws.watts()).isCloseTo(355 * draws.amps() * 0.95, within(1e-9));
        assertThat(draws.ratio()).isCloseTo(draws.watts() / 25, within(1e-9));
        assertThat(first.says()).contains(new StandsFinding.MustBeSet());
        assertThat(report.says()).doesNotHaveAnyElementsOfTypes(SwapFinding.FitsAsItIs.class);
    }

    @Test
    void aBiggerTubeOnTheSameResistorDrawsNearlyTheSame() {
        SwapAmp amp = amp(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, 300, 0, OptionalDouble.of(500));
        SwapReport report = swap(amp, "KT88", "KT120");
        assertThat(said(report, StandsFinding.Draws.class).amps())
                .isCloseTo(said(report, StandsFinding.NearlyTheSame.class).amps(), within(0.008));
        assertThat(report.lines().get(0).says()).hasAtLeastOneElementOfType(FitFinding.PowerAlike.class);
        assertThat(report.lines().get(0).says()).doesNotContain(new StandsFinding.MustBeSet());
    }

    @Test
    void whatCanStopItAndIsNotKnownIsNotEnough() {
        SwapAmp known = amp(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, 355, -30, NO);
        assertThat(swap(known, "6L6GC", "KT77").verdict()).isEqualTo(SwapReport.Verdict.NOT_KNOWN_ENOUGH);
        assertThat(swap(known, "6L6GC", "KT77").says().get(0))
                .isInstanceOfSatisfying(
                        SwapFinding.NotKnownEnough.class,
                        says -> assertThat(says.questions())
                                .contains(SwapQuestion.GRID_VOLTS)
                                .doesNotContain(SwapQuestion.POWER));
        assertThat(swap(known, "6L6GC", "7581A").verdict()).isEqualTo(SwapReport.Verdict.FITS);
        assertThat(swap(known, "6L6GC", "7581A").says().get(0))
                .isEqualTo(new SwapFinding.FitsOnceSet("7581A", "6L6GC"));
        assertThat(new SwapCheck(known, Amps.type("6L6GC"))
                        .all(Amps.CATALOGUE).stream().map(SwapReport::verdict))
                .as("what fits, what is not known, what does not")
                .isSorted();
    }
}
