package yellowrail.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.Tone;
import yellowrail.core.tone.ToneAnalysis;
import yellowrail.core.wav.Sound;
import yellowrail.core.wav.WavReader;
import yellowrail.core.wav.WavWriter;

class TestSignalTest {

    private static final int RATE = 48_000;

    private static double most(double[] samples, double from, double to) {
        return Arrays.stream(samples, (int) (from * RATE), (int) (to * RATE))
                .map(Math::abs)
                .max()
                .orElseThrow();
    }

    /** What is written is read back by the same rules that measure an amp: a clean tone of the level asked for. */
    @Test
    void aSineIsCleanInTheFile() throws IOException {
        for (int bits : new int[] {16, 24}) {
            double[] samples = TestSignal.sine(1000.3, 0.1, 2).samples(RATE);
            Sound sound = WavReader.read(new ByteArrayInputStream(WavWriter.write(samples, RATE, bits, 1)));
            assertThat(sound.notes()).isEmpty();
            assertThat(sound.format().bits()).isEqualTo(bits);
            Tone tone = new ToneAnalysis(RATE, 50, new Band(20, 20_000), OptionalDouble.empty())
                    .of(Arrays.copyOfRange(sound.channels().get(0), RATE / 4, 7 * RATE / 4))
                    .tone()
                    .orElseThrow();
            assertThat(tone.fundamental().peak()).isCloseTo(0.1, within(1e-6));
            assertThat(tone.fundamental().hertz()).isCloseTo(1000.3, within(1e-4));
            // Dither of 16 bits is 1.5e-5 RMS, of a tone of 0.07.
            assertThat(tone.distortion()).isLessThan(bits == 16 ? 1e-5 : 1e-7);
            assertThat(tone.distortionAndNoise()).isLessThan(bits == 16 ? 3e-4 : 1e-6);
        }
    }

    @Test
    void levelsClimbInEqualRatios() {
        TestSignal signal = TestSignal.levels(500, 0.01, 1, 5, 1);
        double[] samples = signal.samples(RATE);
        assertThat(signal.length()).isEqualTo(5);
        for (int step = 0; step < 5; step++) {
            assertThat(most(samples, step + 0.2, step + 0.9))
                    .isCloseTo(0.01 * Math.pow(10, step / 2.0), within(1e-3 * Math.pow(10, step / 2.0)));
        }
        assertThat(signal.crests()).hasSize(10);
        assertThat(signal.crests().get(3).x()).isEqualTo(2);
    }

    /** A rounded power of a ratio once came out a digit above the level that was asked for. */
    @Test
    void theLastLevelIsTheOneAskedFor() {
        for (int i = 1; i < 100; i++) {
            for (int count = 2; count < 7; count++) {
                TestSignal signal = TestSignal.levels(1000, 0.013 * i / 2, i / 100.0, count, 1);
                assertThat(signal.steps().get(count - 1).peak()).isEqualTo(i / 100.0);
            }
        }
    }

    @Test
    void frequenciesClimbInEqualRatios() {
        TestSignal signal = TestSignal.frequencies(20, 20_000, 0.5, 4, 1);
        assertThat(signal.steps().stream().map(TestSignal.Step::hertz).map(Math::rint))
                .containsExactly(20.0, 200.0, 2000.0, 20_000.0);
        assertThat(signal.highest()).isCloseTo(20_000, within(1e-6));
    }

    @Test
    void twoTonesStayWithinTheCrest() {
        assertThat(most(TestSignal.bassAndTreble(0.8, 1).samples(RATE), 0, 1)).isBetween(0.75, 0.8);
        TestSignal.Step step = TestSignal.bassAndTreble(1, 1).steps().get(0);
        assertThat(step.peak() / step.otherPeak()).isCloseTo(4, within(1e-9));
        assertThat(most(TestSignal.twinTreble(0.8, 1).samples(RATE), 0, 1)).isBetween(0.75, 0.8);
    }

    @Test
    void silenceIsDither() throws IOException {
        byte[] file = WavWriter.write(TestSignal.silence(1).samples(RATE), RATE, 16, 1);
        double[] samples =
                WavReader.read(new ByteArrayInputStream(file)).channels().get(0);
        assertThat(samples).hasSize(RATE);
        assertThat(most(samples, 0, 1)).isEqualTo(Math.scalb(1.0, -15));
    }

    /** From one sample to the next it moves no more than a sine of that frequency and height does. */
    @Property(tries = 60)
    void nothingJumpsAndNothingIsLouderThanAsked(
            @ForAll @DoubleRange(min = 20, max = 5000) double hertz,
            @ForAll @DoubleRange(min = 0.01, max = 1) double from,
            @ForAll @DoubleRange(min = 0.01, max = 1) double to,
            @ForAll @IntRange(min = 1, max = 6) int count) {
        double[] samples = TestSignal.levels(hertz, from, to, count, 0.2).samples(RATE);
        double most = Math.max(from, to);
        double ramp = Math.PI / 2 / (TestSignal.RAMP * RATE);
        assertThat(samples[0]).isZero();
        assertThat(Math.abs(samples[samples.length - 1])).isLessThan(1e-3);
        for (int i = 1; i < samples.length; i++) {
            assertThat(Math.abs(samples[i])).isLessThanOrEqualTo(most);
            assertThat(Math.abs(samples[i] - samples[i - 1]))
                    .isLessThan(most * (2 * Math.PI * hertz / RATE + ramp) + 1e-9);
        }
    }

    @Test
    void whatPassesFullScaleIsNoSignal() {
        assertThatThrownBy(() -> TestSignal.sine(1000, 1.01, 1)).hasMessage("peaks of 1.01 and 0.0");
        assertThatThrownBy(() -> new TestSignal(List.of(), 1)).hasMessage("0 steps of 1.0 s");
        assertThatThrownBy(() -> WavWriter.write(new double[1], RATE, 8, 1)).hasMessage("8 bits");
    }
}
