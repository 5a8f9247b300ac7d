package yellowrail.core.tone;

import java.util.Arrays;

/**
 * A weight for samples that ends in nothing at both ends of a recording, so that one line of its spectrum leaks little
 * into another: the sum of four cosines with a continuous first derivative, side lobes 93 dB down and falling by 18 dB
 * an octave, main lobe four bins to either side.
 *
 * <p>Time counts in samples from the middle of the recording: there the weight is even, and so its sums with cosines
 * and sines are in closed form, by the sum of a geometric series.
 *
 * <p>Source: A. H. Nuttall, "Some windows with very good sidelobe behavior", IEEE Trans. ASSP-29 (1981), 84-91.
 */
final class NuttallWindow {

    /** Bins between a line's middle and where its main lobe ends. */
    static final double LOBE = 4;

    /** How many bins of white noise pass with a line. */
    static final double NOISE_BINS = 2.0212;

    private static final double[] TERMS = {0.355768, 0.487396, 0.144232, 0.012604};
    private static final double NEAR = 1e-6;
    private static final int ANEW = 256;

    private final int samples;

    /** @param samples of the recording, &ge; 1 */
    NuttallWindow(int samples) {
        this.samples = samples;
    }

    int samples() {
        return samples;
    }

    /** When a sample is, in samples from the middle. */
    double time(int sample) {
        return sample - (samples - 1) / 2.0;
    }

    /** Samples times their weights. */
    double[] of(double[] recording) {
        double[] weighted = new double[samples];
        double turn = 2 * Math.PI / samples;
        double turnCos = Math.cos(turn);
        double turnSin = Math.sin(turn);
        double one = 0;
        double sine = 0;
        for (int i = 0; i < samples; i++) {
            // A turn at a time; now and then anew, so that nothing adds up.
            double was = one;
            one = i % ANEW == 0 ? Math.cos(turn * time(i)) : one * turnCos - sine * turnSin;
            sine = i % ANEW == 0 ? Math.sin(turn * time(i)) : was * turnSin + sine * turnCos;
            // cos 2x and cos 3x by cos x alone.
            double two = 2 * one * one - 1;
            double three = 2 * one * two - one;
            weighted[i] = recording[i] * (TERMS[0] + TERMS[1] * one + TERMS[2] * two + TERMS[3] * three);
        }
        return weighted;
    }

    double[] weights() {
        double[] ones = new double[samples];
        Arrays.fill(ones, 1);
        return of(ones);
    }

    /** The sum of weight times cos(radians t): its spectrum. */
    double sum(double radians) {
        double sum = TERMS[0] * series(radians);
        for (int m = 1; m < TERMS.length; m++) {
            double bin = 2 * Math.PI * m / samples;
            sum += TERMS[m] / 2 * (series(radians - bin) + series(radians + bin));
        }
        return sum;
    }

    /** The sum of weight times t times sin(radians t): less the spectrum's slope. */
    double moment(double radians) {
        double sum = TERMS[0] * slope(radians);
        for (int m = 1; m < TERMS.length; m++) {
            double bin = 2 * Math.PI * m / samples;
            sum += TERMS[m] / 2 * (slope(radians - bin) + slope(radians + bin));
        }
        return -sum;
    }

    /** The sum of weight times t squared. */
    double spread() {
        double nudge = 1e-3 / samples;
        return (moment(nudge) - moment(-nudge)) / (2 * nudge);
    }

    /** The sum of cos(x t). */
    private double series(double x) {
        double half = Math.IEEEremainder(x, 2 * Math.PI) / 2;
        return Math.abs(half) < NEAR / samples
                ? samples * sign(x)
                : sign(x) * Math.sin(samples * half) / Math.sin(half);
    }

    /** Its derivative. */
    private double slope(double x) {
        double half = Math.IEEEremainder(x, 2 * Math.PI) / 2;
        double n = samples;
        if (Math.abs(n * half) < 1e-3) {
            return sign(x) * -half * n * (n * n - 1) / 6;
        }
        double sine = Math.sin(half);
        return sign(x) * (n * Math.cos(n * half) * sine - Math.sin(n * half) * Math.cos(half)) / (2 * sine * sine);
    }

    /** A turn more is the other sign where the middle lies between two samples. */
    private double sign(double x) {
        return samples % 2 == 0 && Math.rint(x / (2 * Math.PI)) % 2 != 0 ? -1 : 1;
    }
}
