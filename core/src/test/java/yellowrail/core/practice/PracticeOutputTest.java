package yellowrail.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.proof.ComputedPower;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.SteppedTone;
import yellowrail.core.tone.Tone;
import yellowrail.core.tone.ToneAnalysis;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModels;

class PracticeOutputTest {

    private static final int RATE = 48_000;
    private static final Band BAND = new Band(20, 20_000);

    private static Bench bench(Exercise exercise, long seed, double pot) {
        Bench bench = new Workshop(exercise, seed).bench();
        bench.power(true);
        bench.turn(0, pot);
        bench.advance(600);
        return bench;
    }

    /** As two readings tell it, ohm. */
    private static double sag(long seed, double pot) {
        OperatingPoint one = bench(Exercise.NOTHING_WRONG, seed, pot).settled();
        OperatingPoint other = bench(Exercise.NOTHING_WRONG, seed, pot + 0.1).settled();
        return (one.plate() - other.plate())
                / (other.cathodeAmps(0) + other.cathodeAmps(1) - one.cathodeAmps(0) - one.cathodeAmps(1));
    }

    /** The load line, from the idle that a meter would read, against the steps of a signal that gets louder. */
    private static double[] measuredAndComputed(long seed, double pot) {
        Bench bench = bench(Exercise.NOTHING_WRONG, seed, pot);
        OperatingPoint idle = bench.idle();
        TubeType type = TubeCatalogue.published().find(bench.sheet().tubeType()).orElseThrow();
        OutputStage stage = new OutputStage(
                TubeModels.published().of(type).orElseThrow().model(),
                Topology.PUSH_PULL,
                1,
                idle.plate(),
                idle.screen(),
                Connection.PENTODE,
                0,
                OutputStage.Bias.fixed(0),
                bench.sheet().fittings().loadOhms().orElseThrow());
        double mean = (idle.plateAmps()[0] + idle.plateAmps()[1]) / 2;
        ComputedPower computed =
                ComputedPower.of(AmpStage.atIdle(stage, mean, false), sag(seed, pot), 0.015, List.of());
        SteppedTone stepped = SteppedTone.of(
                        bench.output().heard(TestSignal.levels(1000, 0.25, 0.8, 32, 0.5), RATE), RATE, 60, BAND)
                .orElseThrow();
        double flat =
                PracticeOutput.FULL_SCALE * stepped.levelWhereTopsFlatten().orElseThrow();
        return new double[] {flat * flat / PracticeOutput.LOAD, computed.clips()};
    }

    @Test
    void itClipsWhereTheLoadLineSays() {
        Set<String> types = new TreeSet<>();
        for (long seed = 1; seed <= 9; seed++) {
            long spread = seed * 4_000_000_007L;
            double[] watts = measuredAndComputed(spread, 0.3 + 0.03 * seed);
            String type =
                    new Workshop(Exercise.NOTHING_WRONG, spread).sheet("", "").tubeType();
            types.add(type);
            assertThat(watts[0]).as(type).isCloseTo(watts[1], within(0.1 * watts[1]));
        }
        assertThat(types).hasSizeGreaterThan(2);
    }

    private static Tone silent(Exercise exercise) {
        return new ToneAnalysis(RATE, 60, BAND, OptionalDouble.of(1000))
                .of(bench(exercise, 5, 0.4).output().heard(TestSignal.sine(1000, 0.001, 4), RATE))
                .tone()
                .orElseThrow();
    }

    @Test
    void tubesThatAreNotAlikeHum() {
        double alike = silent(Exercise.NOTHING_WRONG).humAt(2).orElseThrow().rms();
        double apart = silent(Exercise.MISMATCHED_PAIR).humAt(2).orElseThrow().rms();

        assertThat(apart).isGreaterThan(4 * alike);
    }

    @Test
    void theirSecondHarmonicReturns() {
        double[] second = Stream.of(Exercise.NOTHING_WRONG, Exercise.MISMATCHED_PAIR)
                .mapToDouble(exercise -> new ToneAnalysis(RATE, 60, BAND, OptionalDouble.empty())
                        .of(bench(exercise, 5, 0.4).output().heard(TestSignal.sine(1000, 0.3, 2), RATE))
                        .tone()
                        .orElseThrow()
                        .part(2)
                        .getAsDouble())
                .toArray();

        assertThat(second[1]).isGreaterThan(3 * second[0]);
    }

    @Test
    void anAmpThatIsOffPlaysNothing() {
        Bench off = new Workshop(Exercise.NOTHING_WRONG, 5).bench();

        double[] volts = off.output().volts(TestSignal.sine(1000, 0.5, 1), RATE);

        assertThat(Arrays.stream(volts).map(Math::abs).max().getAsDouble()).isLessThan(0.01);
    }

    @Test
    void aCardHearsNothingBeyondFullScale() {
        double[] heard = bench(Exercise.NOTHING_WRONG, 5, 0.4).output().heard(TestSignal.sine(1000, 1, 1), RATE);

        assertThat(Arrays.stream(heard).map(Math::abs).max().getAsDouble()).isBetween(0.3, 1.0);
    }
}
