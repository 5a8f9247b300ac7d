package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import yellowrail.core.signal.TestSignal;

class IntermodulationTest {

    private static final int RATE = 48_000;

    private static ToneAnalysis.Outcome outcome(double[] samples) {
        return new ToneAnalysis(RATE, 50, new Band(20, 20_000), OptionalDouble.empty()).of(samples);
    }

    private static Intermodulation of(
            double low, double lowPeak, double high, double highPeak, DoubleUnaryOperator amp) {
        Recording recording = new Recording(RATE, 3)
                .sine(low, lowPeak)
                .sine(high, highPeak)
                .through(amp)
                .noise(1e-6, 3);
        return outcome(recording.samples()).intermodulation().orElseThrow();
    }

    /** {@code x + a x^2}: beside the treble two lines of a times the bass each, together 2 a A of the treble. */
    @Test
    void aSquareLawLetsBassModulateTreble() {
        double a = 0.05;
        Intermodulation found = of(60.03, 0.4, 7003.5, 0.1, x -> x + a * x * x);
        assertThat(found.pair()).isEqualTo(TonePair.BASS_AND_TREBLE);
        assertThat(found.low().hertz()).isCloseTo(60.03, within(1e-4));
        assertThat(found.high().hertz()).isCloseTo(7003.5, within(1e-4));
        assertThat(found.part()).isCloseTo(2 * a * 0.4, within(1e-5));
    }

    /**
     * {@code x - b x^3}: lines at twice the bass to either side, 3/4 b A^2 of the treble each, which itself shrinks.
     */
    @Test
    void aCubicLawModulatesAtTwiceTheBass() {
        double b = 0.2;
        Intermodulation found = of(60.03, 0.4, 7003.5, 0.1, x -> x - b * x * x * x);
        double treble = 0.1 - b * (3 / 2.0 * 0.1 * 0.16 + 3 / 4.0 * 0.001);
        double beside = 3 / 4.0 * b * 0.16 * 0.1;
        assertThat(found.part()).isCloseTo(2 * beside / treble, within(1e-5));
    }

    /** {@code x + a x^2}: at the difference a line of a A B; of both together. */
    @Test
    void aSquareLawHasTheDifferenceOfTwoTrebles() {
        Intermodulation found = of(19_000, 0.25, 20_000, 0.25, x -> x + 0.04 * x * x);
        assertThat(found.pair()).isEqualTo(TonePair.TWIN_TREBLE);
        assertThat(found.part()).isCloseTo(0.04 * 0.0625 / 0.5, within(1e-6));
    }

    @Test
    void whatIsPlayedForItIsKnownByItself() {
        ToneAnalysis.Outcome bass = outcome(TestSignal.bassAndTreble(0.5, 3).samples(RATE));
        assertThat(bass.intermodulation())
                .hasValueSatisfying(found -> assertThat(found.part()).isLessThan(1e-4));
        assertThat(bass.notes()).hasSize(1).first().isInstanceOf(ToneNote.TwoTones.class);
        assertThat(outcome(TestSignal.twinTreble(0.5, 3).samples(RATE))
                        .intermodulation()
                        .orElseThrow()
                        .pair())
                .isEqualTo(TonePair.TWIN_TREBLE);
    }

    @Test
    void otherTonesAreNotCalledThat() {
        for (Recording recording : List.of(
                new Recording(RATE, 2).sine(1000, 0.5).noise(1e-5, 1),
                new Recording(RATE, 2).sine(1000, 0.4).sine(7000, 0.1),
                new Recording(RATE, 2).sine(60, 0.4).sine(7000, 0.004).noise(1e-5, 1))) {
            assertThat(outcome(recording.samples()).intermodulation()).isEmpty();
        }
    }
}
