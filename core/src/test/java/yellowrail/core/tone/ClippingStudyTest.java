package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yellowrail.core.root.Root;
import yellowrail.core.signal.TestSignal;

/**
 * Stages that bend and clip by a known curve, played level by level in steps of a quarter to two fifths of a decibel:
 * the power at 1, 3 and 10 % distortion read from the recording against that reckoned from the curve itself; some of
 * them in a test, a fifth of {@code -Drecordings=1000} by {@code ./yellow-rail proofstudy}.
 */
class ClippingStudyTest {

    private static final int COUNT = Integer.getInteger("recordings", 40) / 5;
    private static final int RATE = 48_000;
    private static final int STEPS = 40;
    private static final double[] MARKS = {0.01, 0.03, 0.1};
    /** One turn. */
    private static final double[] SINE = IntStream.range(0, 4096)
            .mapToDouble(i -> Math.sin(2 * Math.PI * i / 4096))
            .toArray();

    /** Straight, a little bent, flat at its two ends: more or less suddenly. */
    private record Curve(double up, double down, double bend, double hardness) implements DoubleUnaryOperator {

        static Curve random(Random random) {
            double up = 0.3 + 0.4 * random.nextDouble();
            return new Curve(
                    up, up * (1 + 0.3 * random.nextDouble()), 0.02 * random.nextDouble(), 4 + 40 * random.nextDouble());
        }

        @Override
        public double applyAsDouble(double x) {
            double limit = x > 0 ? up : down;
            double part = Math.abs(x) / limit;
            return Math.signum(x) * limit * part / Math.pow(1 + Math.pow(part, hardness), 1 / hardness) + bend * x * x;
        }

        /** RMS of the fundamental and its distortion at a peak, by Fourier's sums. */
        ClippingPoint.Point at(double peak) {
            int n = SINE.length;
            double[] shaped =
                    Arrays.stream(SINE).map(y -> applyAsDouble(peak * y)).toArray();
            double[] power = new double[21];
            for (int order = 1; order <= 20; order++) {
                double cosine = 0;
                double sine = 0;
                for (int i = 0; i < n; i++) {
                    sine += shaped[i] * SINE[order * i % n] * 2 / n;
                    cosine += shaped[i] * SINE[(order * i + n / 4) % n] * 2 / n;
                }
                power[order] = (cosine * cosine + sine * sine) / 2;
            }
            return new ClippingPoint.Point(
                    Math.sqrt(power[1]), Math.sqrt(Arrays.stream(power).skip(2).sum() / power[1]));
        }

        /** Where its slope has fallen to half of that in the middle, on the side where it does so first. */
        double levelWhereFlat() {
            return at(Math.min(flat(1), flat(-1))).level();
        }

        private double flat(int side) {
            double h = 1e-5;
            return Root.between(
                    peak -> (applyAsDouble(side * peak + h) - applyAsDouble(side * peak - h)) / (2 * h) - 0.5,
                    0.3 * up,
                    2 * down,
                    1e-9);
        }

        double levelAt(double mark) {
            return at(Root.between(peak -> at(peak).value() - mark, 0.5 * up, 2 * down, 1e-9))
                    .level();
        }
    }

    private static double[] off(long seed) {
        Random random = new Random(seed);
        Curve curve = Curve.random(random);
        double each = Math.pow(10, (0.25 + 0.15 * random.nextDouble()) / 20);
        double to = Math.min(1, 1.9 * curve.down());
        TestSignal signal =
                TestSignal.levels(300 + 900 * random.nextDouble(), to / Math.pow(each, STEPS - 1), to, STEPS, 0.5);
        double[] samples = Arrays.stream(signal.samples(RATE))
                .map(sample -> 0.6 * curve.applyAsDouble(sample) + 1e-5 * random.nextGaussian())
                .toArray();
        SteppedTone stepped =
                SteppedTone.of(samples, RATE, 60, new Band(20, 20_000)).orElseThrow();
        assertThat(stepped.steps().size()).as("steps of %s", curve).isEqualTo(STEPS);
        return DoubleStream.concat(
                        Arrays.stream(MARKS).map(mark -> stepped.levelAt(mark).orElseThrow() / curve.levelAt(mark)),
                        DoubleStream.of(stepped.levelWhereTopsFlatten().orElseThrow() / curve.levelWhereFlat()))
                .map(ratio -> Math.abs(Math.pow(ratio / 0.6, 2) - 1))
                .toArray();
    }

    @Test
    void theClippingPointIsReadFromSteps() {
        double[][] off = IntStream.range(0, COUNT).mapToObj(seed -> off(seed)).toArray(double[][]::new);
        for (int i = 0; i <= MARKS.length; i++) {
            int mark = i;
            String what = i < MARKS.length ? Math.round(100 * MARKS[i]) + " %" : "flat tops";
            double[] sorted =
                    Arrays.stream(off).mapToDouble(each -> each[mark]).sorted().toArray();
            double worst = sorted[sorted.length - 1];
            if (Integer.getInteger("recordings") != null) {
                System.out.printf(
                        Locale.ROOT,
                        "%d stepped recordings, power at %s off: median %.2g, worst %.2g%n",
                        COUNT,
                        what,
                        sorted[sorted.length / 2],
                        worst);
            }
            assertThat(worst).as("power at " + what).isLessThan(0.02);
        }
    }
}
