package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.chart.Point;

/** What is drawn of a tone is what was in the recording. */
class ToneDrawingTest {

    private static final int RATE = 48_000;
    private static final Band BAND = new Band(20, 20_000);

    private static Tone tone(Recording recording) {
        return new ToneAnalysis(RATE, 50, BAND, OptionalDouble.empty())
                .of(recording.samples())
                .tone()
                .orElseThrow();
    }

    private static double most(SpectrumTrace trace, double hertz) {
        return trace.points().stream()
                .filter(point -> Math.abs(point.x() - hertz) < 0.01 * hertz)
                .mapToDouble(Point::y)
                .max()
                .orElseThrow();
    }

    @Test
    void everyLineOfASpectrumStandsAtItsHeight() {
        Recording recording =
                new Recording(RATE, 3).sine(1000, 0.5).sine(3000, 0.0005).noise(1e-6, 2);
        PowerSpectrum spectrum = new PowerSpectrum(recording.samples(), RATE);
        for (boolean logarithmic : new boolean[] {true, false}) {
            SpectrumTrace trace = SpectrumTrace.of(spectrum, 0.125, BAND, 500, logarithmic);
            assertThat(trace.points()).hasSizeBetween(250, 510).isSortedAccordingTo(Comparator.comparing(Point::x));
            // Between two bins a line is at most 0.9 dB lower.
            assertThat(most(trace, 1000)).isCloseTo(0, within(0.9));
            assertThat(most(trace, 3000)).isCloseTo(-60, within(0.9));
            assertThat(most(trace, 12_000)).isLessThan(-120);
        }
    }

    @Test
    void aTurnBeginsWhereTheFundamentalRises() {
        ToneWave wave = ToneWave.of(tone(new Recording(RATE, 1).sine(997, 0.5, 2.2)));
        assertThat(wave.wave().get(0).y()).isCloseTo(0, within(1e-6));
        assertThat(wave.wave().get(60).y()).isCloseTo(1, within(1e-6));
        assertThat(wave.residual())
                .allSatisfy(point -> assertThat(Math.abs(point.y())).isLessThan(10));
    }

    /** One side clipped: the wave is flat there, and the residual dips where it lost most. */
    @Test
    void aClippedWaveIsDrawnClipped() {
        double clip = 0.4;
        ToneWave wave = ToneWave.of(tone(new Recording(RATE, 2).sine(500, 0.5).through(x -> Math.min(clip, x) - 0.01)));
        double top = wave.wave().stream().mapToDouble(Point::y).max().orElseThrow();
        double bottom = wave.wave().stream().mapToDouble(Point::y).min().orElseThrow();
        assertThat(-bottom / top).isBetween(1.1, 1.3);
        assertThat(wave.times()).isEqualTo(1);
        assertThat(wave.residual().get(60).y()).isNegative();
    }

    @Test
    void noiseDoesNotStandOut() {
        Tone tone =
                tone(new Recording(RATE, 2).sine(1000, 0.5).sine(3000, 0.001).noise(1e-5, 8));
        assertThat(tone.standsOut(tone.harmonics().get(2))).isTrue();
        assertThat(tone.standsOut(tone.harmonics().get(4))).isFalse();
    }

    @Test
    void humOfOtherMainsIsNotPassedOver() {
        Recording recording = new Recording(RATE, 3)
                .sine(1000, 0.5)
                .sine(60, 3e-4)
                .sine(120, 6e-4)
                .noise(1e-5, 8);
        assertThat(new ToneAnalysis(RATE, 50, BAND, OptionalDouble.empty())
                        .of(recording.samples())
                        .notes())
                .containsExactly(new ToneNote.OtherMains(50, 60));
        assertThat(new ToneAnalysis(RATE, 60, BAND, OptionalDouble.empty())
                        .of(recording.samples())
                        .notes())
                .isEmpty();
    }
}
