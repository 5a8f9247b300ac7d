package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * Random recordings whose distortion, hum and noise are known, read back: some of them in a test,
 * {@code -Drecordings=1000} by {@code ./yellow-rail proofstudy}, which prints how far off the worst were.
 */
class RecordingStudyTest {

    private static final int COUNT = Integer.getInteger("recordings", 24);
    private static final double[] RATES = {44_100, 48_000, 96_000, 192_000};
    private static final int ORDERS = 20;
    private static final Band BAND = new Band(20, 20_000);

    /** How far off its truth each figure is. */
    private record Off(double hertz, double distortion, double withNoise, double hum, double ripple) {

        double[] all() {
            return new double[] {hertz, distortion, withNoise, hum, ripple};
        }
    }

    /** What a recording is made of; peaks. */
    private record Truth(
            double perSecond,
            double seconds,
            double hertz,
            double peak,
            double[] harmonics,
            double mains,
            double[] hum,
            double noise) {

        static Truth random(Random random, double least) {
            double perSecond = RATES[random.nextInt(RATES.length)];
            double hertz = 20 * Math.pow(300, random.nextDouble());
            int orders = (int) Math.min(ORDERS, BAND.high() / hertz);
            double[] harmonics = new double[orders + 1];
            for (int order = 2; order <= orders; order++) {
                harmonics[order] = Math.pow(random.nextDouble(), 3) / order;
            }
            double distortion = Math.pow(least, random.nextDouble()) / Math.sqrt(squares(harmonics));
            Arrays.setAll(harmonics, order -> distortion * harmonics[order]);
            // All crests at once stay within full scale.
            double peak = (0.2 + 0.75 * random.nextDouble())
                    / (1.2 + Arrays.stream(harmonics).sum());
            Arrays.setAll(harmonics, order -> peak * harmonics[order]);
            double mains = random.nextBoolean() ? 50 : 60;
            double[] hum = new double[6];
            for (int order = 1; order <= 5; order++) {
                hum[order] = peak * Math.pow(10, -4 + 1.5 * random.nextDouble());
            }
            return new Truth(
                    perSecond,
                    3 + 7 * random.nextDouble(),
                    hertz,
                    peak,
                    harmonics,
                    mains * (1 + 0.004 * (random.nextDouble() - 0.5)),
                    hum,
                    peak * Math.pow(10, -5.5 + random.nextDouble()));
        }

        /** Whether a multiple of the mains lies clear of the tone's lines. */
        boolean isClear() {
            double clear = (1 + NuttallWindow.LOBE) / seconds;
            return IntStream.rangeClosed(1, 10)
                    .mapToDouble(order -> order * mains)
                    .allMatch(line ->
                            Math.abs(line - hertz * Math.max(1, Math.rint(line / hertz))) > clear + 0.01 * line);
        }

        double[] samples(int bits, long seed) {
            Random phases = new Random(seed);
            Recording recording = new Recording(perSecond, seconds).sine(hertz, peak, 6 * phases.nextDouble());
            for (int order = 2; order < harmonics.length; order++) {
                recording.sine(order * hertz, harmonics[order], 6 * phases.nextDouble());
            }
            for (int order = 1; order < hum.length; order++) {
                recording.sine(order * mains, hum[order], 6 * phases.nextDouble());
            }
            return recording.noise(noise, seed).bits(bits, seed + 1).samples();
        }

        double distortion() {
            return Math.sqrt(squares(harmonics)) / peak;
        }

        /** White noise is spread evenly from 0 to half the rate. */
        double withNoise(int bits) {
            double step = Math.scalb(1.0, 1 - bits);
            double all = noise * noise + step * step / 4;
            double inBand = all * (Math.min(BAND.high(), perSecond / 2) - BAND.low()) / (perSecond / 2);
            return Math.sqrt((squares(harmonics) + squares(hum)) / 2 + inBand) / (peak / Math.sqrt(2));
        }

        private static double squares(double[] peaks) {
            return Arrays.stream(peaks).map(each -> each * each).sum();
        }
    }

    private static Truth truth(long seed, double least) {
        Random random = new Random(seed);
        Truth truth = Truth.random(random, least);
        while (!truth.isClear()) {
            truth = Truth.random(random, least);
        }
        return truth;
    }

    private static Off off(long seed, int bits, double least) {
        Truth truth = truth(seed, least);
        Tone tone = new ToneAnalysis(truth.perSecond, truth.mains < 55 ? 50 : 60, BAND, OptionalDouble.empty())
                .of(truth.samples(bits, seed))
                .tone()
                .orElseThrow();
        return new Off(
                apart(tone.fundamental().hertz(), truth.hertz),
                apart(tone.distortion(), truth.distortion()),
                apart(tone.distortionAndNoise(), truth.withNoise(bits)),
                apart(tone.humAt(1).orElseThrow().peak(), truth.hum[1]),
                apart(tone.humAt(2).orElseThrow().peak(), truth.hum[2]));
    }

    private static double apart(double found, double true_) {
        return Math.abs(found / true_ - 1);
    }

    private static double[] worst(int bits, double least, int count) {
        double[][] off = IntStream.range(0, count)
                .parallel()
                .mapToObj(seed -> off(seed, bits, least).all())
                .toArray(double[][]::new);
        double[] worst = new double[off[0].length];
        for (int figure = 0; figure < worst.length; figure++) {
            int at = figure;
            double[] sorted =
                    Arrays.stream(off).mapToDouble(each -> each[at]).sorted().toArray();
            worst[figure] = sorted[sorted.length - 1];
            if (Integer.getInteger("recordings") != null) {
                System.out.printf(
                        Locale.ROOT,
                        "%d bit, %d recordings, %s off: median %.2g, 99 of 100 under %.2g, worst %.2g%n",
                        bits,
                        count,
                        new String[] {"frequency", "THD", "THD+N", "hum", "ripple"}[figure],
                        sorted[sorted.length / 2],
                        sorted[sorted.length * 99 / 100],
                        worst[figure]);
            }
        }
        return worst;
    }

    @Test
    void whatIsInTwentyFourBitsIsReadBack() {
        double[] worst = worst(24, 3e-5, COUNT);
        assertThat(worst[0]).as("frequency").isLessThan(1e-6);
        assertThat(worst[1]).as("THD").isLessThan(0.01);
        assertThat(worst[2]).as("THD+N").isLessThan(0.02);
        assertThat(worst[3]).as("hum").isLessThan(0.02);
        assertThat(worst[4]).as("ripple").isLessThan(0.02);
    }

    @Test
    void whatIsInSixteenBitsIsReadBack() {
        double[] worst = worst(16, 1e-4, COUNT);
        assertThat(worst[0]).as("frequency").isLessThan(1e-6);
        assertThat(worst[1]).as("THD").isLessThan(0.01);
        assertThat(worst[2]).as("THD+N").isLessThan(0.02);
    }
}
