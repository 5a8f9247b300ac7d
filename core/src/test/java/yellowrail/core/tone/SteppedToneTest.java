package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.tone.ClippingPoint.Point;

class SteppedToneTest {

    private static final int RATE = 48_000;
    private static final Band BAND = new Band(20, 20_000);

    private static Optional<SteppedTone> heard(TestSignal signal) {
        Random random = new Random(3);
        double[] samples = Arrays.stream(signal.samples(RATE))
                .map(sample -> sample + 0.001 * sample * sample + 1e-5 * random.nextGaussian())
                .toArray();
        return SteppedTone.of(samples, RATE, 60, BAND);
    }

    @Test
    void everyFrequencyOfAWalkIsMeasuredByItself() {
        List<SteppedTone.Step> steps = heard(TestSignal.frequencies(20, 15_000, 0.5, 12, 0.8))
                .orElseThrow()
                .steps();

        assertThat(steps).hasSize(12);
        for (int i = 0; i < 12; i++) {
            double hertz = 20 * Math.pow(750, i / 11.0);
            assertThat(steps.get(i).tone().fundamental().hertz()).isCloseTo(hertz, within(1e-4 * hertz));
            assertThat(steps.get(i).level()).isCloseTo(0.5 / Math.sqrt(2), within(1e-4));
            assertThat(steps.get(i).from()).isBetween(0.8 * i, 0.8 * i + 0.25);
            assertThat(steps.get(i).to()).isBetween(0.8 * i + 0.55, 0.8 * i + 0.8);
        }
    }

    @Test
    void aSecondHarmonicGrowsWithTheLevel() {
        List<SteppedTone.Step> steps =
                heard(TestSignal.levels(440, 0.05, 0.9, 8, 0.6)).orElseThrow().steps();

        assertThat(steps).hasSize(8);
        // x + k x^2 of a peak a has a second harmonic of k a / 2.
        steps.subList(2, 8)
                .forEach(step -> assertThat(step.tone().part(2).getAsDouble())
                        .isCloseTo(0.0005 * Math.sqrt(2) * step.level(), within(0.01 * 0.0005)));
    }

    @Test
    void oneToneIsNoSteps() {
        assertThat(heard(TestSignal.sine(1000, 0.5, 5))).isEmpty();
        assertThat(heard(TestSignal.silence(3))).isEmpty();
        assertThat(SteppedTone.of(new double[100], RATE, 60, BAND)).isEmpty();
    }

    @Test
    void theClippingPointLiesBetweenTwoSteps() {
        List<Point> points = List.of(new Point(4, 0.09), new Point(1, 0.001), new Point(2, 0.01));

        assertThat(ClippingPoint.of(points, 0.03).getAsDouble())
                .as("halfway in logarithms from 1 % to 9 %")
                .isCloseTo(2 * Math.sqrt(2), within(1e-9));
        assertThat(ClippingPoint.of(points, 0.1)).as("never so much").isEmpty();
        assertThat(ClippingPoint.of(points, 0.0001)).as("always more").isEmpty();
    }

    @Test
    void whatDistortsTheSmallIsNoClipping() {
        List<Point> crossover =
                List.of(new Point(0.1, 0.05), new Point(1, 0.005), new Point(2, 0.002), new Point(3, 0.02));

        assertThat(ClippingPoint.of(crossover, 0.01).getAsDouble()).isBetween(2.0, 3.0);
    }
}
