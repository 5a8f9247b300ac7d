package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.finding.Finding;

class ToneAnalysisTest {

    private static final int RATE = 48_000;
    private static final Band BAND = new Band(20, 20_000);

    private static ToneAnalysis.Outcome outcome(Recording recording) {
        return new ToneAnalysis(RATE, 50, BAND, OptionalDouble.empty()).of(recording.samples());
    }

    private static Tone tone(Recording recording) {
        return outcome(recording).tone().orElseThrow();
    }

    private static Recording seconds(double seconds) {
        return new Recording(RATE, seconds);
    }

    private static List<String> codes(ToneAnalysis.Outcome outcome) {
        return outcome.notes().stream().map(Finding::code).toList();
    }

    /** A symmetrical clip at half the crest has odd harmonics as the Fourier integral has them. */
    @Test
    void aClippedSineHasTheHarmonicsOfItsIntegral() {
        double clip = 0.25;
        Tone tone = tone(seconds(2).sine(997, 0.5).through(x -> Math.max(-clip, Math.min(clip, x))));
        double[] b = new double[8];
        int steps = 200_000;
        for (int i = 0; i < steps; i++) {
            double x = 2 * Math.PI * (i + 0.5) / steps;
            for (int order = 1; order < b.length; order++) {
                b[order] += Math.max(-clip, Math.min(clip, 0.5 * Math.sin(x))) * Math.sin(order * x) * 2 / steps;
            }
        }
        assertThat(tone.fundamental().peak()).isCloseTo(Math.abs(b[1]), within(1e-5));
        assertThat(tone.part(3).orElseThrow()).isCloseTo(Math.abs(b[3] / b[1]), within(1e-4));
        assertThat(tone.part(5).orElseThrow()).isCloseTo(Math.abs(b[5] / b[1]), within(1e-4));
        assertThat(tone.part(2).orElseThrow()).isLessThan(1e-5);
    }

    /** {@code x + a x^2} of a sine has a second harmonic of a/2 of its crest, and a constant as large. */
    @Test
    void aSquareLawHasASecondHarmonicAndAConstant() {
        Tone tone = tone(seconds(1).sine(440, 0.4).through(x -> x + 0.1 * x * x));
        assertThat(tone.part(2).orElseThrow()).isCloseTo(0.02, within(1e-6));
        assertThat(tone.distortion()).isCloseTo(0.02, within(1e-6));
        assertThat(tone.constant()).isCloseTo(0.008, within(1e-6));
    }

    @Test
    void humIsParted() {
        Tone tone = tone(
                seconds(4).sine(1000, 0.5).sine(49.97, 3e-5).sine(99.94, 2e-4).noise(1e-5, 7));
        assertThat(tone.humAt(1).orElseThrow().rms()).isCloseTo(3e-5 / Math.sqrt(2), within(5e-7));
        assertThat(tone.humAt(2).orElseThrow().rms()).isCloseTo(2e-4 / Math.sqrt(2), within(5e-7));
        assertThat(tone.humAt(1).orElseThrow().hertz()).isCloseTo(49.97, within(1e-3));
        // White noise of 1e-5 to 24 kHz, of which the band has 20.
        assertThat(tone.noise(Weighting.FLAT)).isCloseTo(1e-5 * Math.sqrt(19_980 / 24_000.0), within(2e-7));
        assertThat(tone.noise(Weighting.A)).isLessThan(tone.noise(Weighting.FLAT));
    }

    @Test
    void humWithoutATestToneIsCalledHum() {
        ToneAnalysis.Outcome hum =
                outcome(seconds(2).sine(100.02, 1e-3).sine(50.01, 3e-4).noise(1e-6, 1));
        assertThat(codes(hum)).containsExactly("is-mains");
        assertThat(hum.tone().orElseThrow().fundamental().hertz()).isCloseTo(100.02, within(1e-3));
    }

    @Test
    void aToneOnTheMainsHidesThem() {
        Tone tone = tone(seconds(2).sine(1000, 0.1).sine(25, 0.5));
        assertThat(tone.fundamental().hertz()).isCloseTo(25, within(1e-6));
        assertThat(tone.humAt(1)).isEmpty();
    }

    @Test
    void aHarmonicAsStrongAsTheFundamentalIsAHarmonic() {
        Tone tone = tone(seconds(1).sine(300, 0.3).sine(600, 0.31).sine(900, 0.2));
        assertThat(tone.fundamental().hertz()).isCloseTo(300, within(1e-6));
        assertThat(tone.distortion()).isGreaterThan(1);
    }

    /** Sixty and seven thousand at four to one: the second is no harmonic. */
    @Test
    void anotherToneIsTold() {
        assertThat(codes(outcome(seconds(2).sine(1000, 0.4).sine(7013, 0.1)))).contains("second-tone");
        assertThat(codes(outcome(seconds(2).sine(1000, 0.4).noise(1e-3, 3)))).isEmpty();
    }

    @Test
    void theNamedToneIsTaken() {
        Tone tone = new ToneAnalysis(RATE, 50, BAND, OptionalDouble.of(7000))
                .of(seconds(2).sine(1000, 0.4).sine(7013, 0.1).samples())
                .tone()
                .orElseThrow();
        assertThat(tone.fundamental().hertz()).isCloseTo(7013, within(1e-5));
    }

    @Test
    void whatIsNoToneIsTold() {
        assertThat(codes(outcome(seconds(1)))).containsExactly("silence");
        assertThat(codes(outcome(seconds(1).constant(0.1)))).containsExactly("only-constant");
        assertThat(codes(outcome(seconds(1).noise(0.1, 5)))).containsExactly("no-tone");
        assertThat(codes(outcome(seconds(0.01).sine(1000, 0.5)))).containsExactly("too-short");
        assertThat(codes(outcome(seconds(1).sine(23_999, 0.5)))).containsExactly("at-half-the-rate");
        assertThat(codes(outcome(seconds(0.06).sine(50, 0.5)))).containsExactly("too-few-cycles");
    }

    /** Above half the band there is nothing to reckon distortion from. */
    @Test
    void noHarmonicIsNoDistortion() {
        ToneAnalysis.Outcome high = outcome(seconds(1).sine(13_000, 0.5).noise(1e-5, 3));
        assertThat(codes(high)).containsExactly("no-harmonic");
        assertThat(high.tone().orElseThrow().distortion()).isZero();
    }

    /** Of 3 s a tone that begins late, and one with a gap of 10 ms: both are told, with where. */
    @Test
    void aToneThatBreaksOffIsTold() {
        double[] late = seconds(3).sine(1000, 0.5).noise(1e-5, 2).samples();
        Arrays.fill(late, 0, RATE / 10, 0);
        double[] gap = seconds(3).sine(1000, 0.5).noise(1e-5, 2).samples();
        Arrays.fill(gap, RATE, RATE + RATE / 100, 0);
        ToneAnalysis analysis = new ToneAnalysis(RATE, 50, BAND, OptionalDouble.empty());
        assertThat(analysis.of(late).notes()).contains(new ToneNote.NotSteady(0, 0.1));
        assertThat(analysis.of(gap).notes()).contains(new ToneNote.NotSteady(1, 0.02));
        // Buzz is steady: a spike of the rectifier in every turn.
        double[] buzz = seconds(3).sine(1000, 0.5).noise(1e-5, 2).samples();
        for (int i = 0; i < buzz.length; i += RATE / 100) {
            buzz[i] += 0.02;
        }
        assertThat(codes(analysis.of(buzz))).doesNotContain("not-steady");
    }

    @Test
    void theCardsClipIsToldAndAFullSineIsNone() {
        assertThat(codes(outcome(seconds(1).sine(1000, 1.2).bits(16, 1)))).contains("card-clipped");
        for (double hertz : new double[] {20, 100.3, 997, 9999}) {
            assertThat(codes(outcome(seconds(1).sine(hertz, 1 - 1e-4).bits(16, 1))))
                    .as("%s Hz", hertz)
                    .doesNotContain("card-clipped");
        }
    }

    /** The live block: a fifth of a second. */
    @Test
    void aShortBlockIsMeasuredToo() {
        Tone tone = tone(seconds(0.2).sine(1000.7, 0.5).sine(2001.4, 0.005).noise(1e-5, 4));
        assertThat(tone.fundamental().hertz()).isCloseTo(1000.7, within(1e-3));
        assertThat(tone.distortion()).isCloseTo(0.01, within(1e-4));
    }

    @Test
    void aBandBeyondTheRateHasNoTone() {
        double[] samples = seconds(1).sine(1000, 0.5).samples();
        assertThat(codes(new ToneAnalysis(RATE, 50, new Band(30_000, 40_000), OptionalDouble.empty()).of(samples)))
                .containsExactly("no-tone");
        assertThat(codes(new ToneAnalysis(RATE, 50, BAND, OptionalDouble.of(60_000)).of(samples)))
                .containsExactly("no-tone");
        assertThat(new ToneAnalysis(RATE, 50, new Band(2000, 4000), OptionalDouble.of(1000))
                        .of(samples)
                        .tone())
                .isPresent();
    }

    /** Clicks, steps, ramps, bursts, beats: measured or refused, with finite figures, and nothing else. */
    @Property(tries = 150)
    void whateverIsInItIsMeasuredOrTold(
            @ForAll long seed,
            @ForAll @IntRange(min = 0, max = 5) int kind,
            @ForAll @DoubleRange(min = 0.01, max = 1.5) double seconds,
            @ForAll @DoubleRange(min = 1, max = 4000) double hertz) {
        Random random = new Random(seed);
        int rate = 8_000;
        double[] samples = new Recording(rate, seconds).sine(hertz, 0.7).samples();
        for (int i = 0; i < samples.length; i++) {
            double part = (double) i / samples.length;
            samples[i] = switch (kind) {
                case 0 -> i == samples.length / 2 ? 1 : 0;
                case 1 -> part < 0.5 ? -0.3 : 0.4;
                case 2 -> part;
                case 3 -> part > 0.4 && part < 0.5 ? samples[i] : 0;
                case 4 -> Math.signum(samples[i]);
                default -> samples[i] * Math.sin(9 * part) + 0.1 * random.nextGaussian();
            };
        }
        ToneAnalysis.Outcome outcome = new ToneAnalysis(rate, 60, BAND, OptionalDouble.empty()).of(samples);
        assertThat(outcome.tone().isPresent() || !outcome.notes().isEmpty()).isTrue();
        outcome.tone()
                .ifPresent(tone -> assertThat(List.of(
                                tone.fundamental().hertz(),
                                tone.distortion(),
                                tone.distortionAndNoise(),
                                tone.noise(Weighting.A)))
                        .allSatisfy(figure -> assertThat(figure).isFinite().isNotNegative()));
    }
}
