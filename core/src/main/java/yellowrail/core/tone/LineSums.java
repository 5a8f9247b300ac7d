package yellowrail.core.tone;

import java.util.Arrays;

/**
 * One pass over a recording for a set of frequencies: the sums of the samples with the cosine and the sine of each, and
 * the reverse, lines taken out of the samples. A table of one chunk serves all, turned to where each chunk lies.
 */
final class LineSums {

    private static final int CHUNK = 512;

    private final double[] radians;
    private final double[][] cos;
    private final double[][] sin;

    /** @param radians a sample, of each line */
    LineSums(double[] radians) {
        this.radians = radians.clone();
        this.cos = new double[radians.length][CHUNK];
        this.sin = new double[radians.length][CHUNK];
        for (int line = 0; line < radians.length; line++) {
            for (int i = 0; i < CHUNK; i++) {
                cos[line][i] = Math.cos(radians[line] * i);
                sin[line][i] = Math.sin(radians[line] * i);
            }
        }
    }

    /** Of samples, already weighted: for each line the sums with cos and with sin; t from the middle. */
    double[][] of(double[] samples) {
        double[][] sums = new double[2][radians.length];
        double[] chunk = new double[CHUNK];
        double[] both = new double[2];
        for (int from = 0; from < samples.length; from += CHUNK) {
            copy(samples, from, chunk);
            for (int line = 0; line < radians.length; line++) {
                sum(chunk, cos[line], sin[line], both);
                double begins = begins(samples, from, line);
                sums[0][line] += Math.cos(begins) * both[0] - Math.sin(begins) * both[1];
                sums[1][line] += Math.sin(begins) * both[0] + Math.cos(begins) * both[1];
            }
        }
        return sums;
    }

    /** Where a line's turn stands at the beginning of a chunk, radians. */
    private double begins(double[] samples, int from, int line) {
        return radians[line] * (from - (samples.length - 1) / 2.0);
    }

    private static void copy(double[] samples, int from, double[] chunk) {
        int there = Math.min(CHUNK, samples.length - from);
        System.arraycopy(samples, from, chunk, 0, there);
        Arrays.fill(chunk, there, CHUNK, 0);
    }

    /** Every other sample in sums of its own, which need not wait for each other. */
    private static void sum(double[] chunk, double[] cos, double[] sin, double[] both) {
        double evenCos = 0;
        double oddCos = 0;
        double evenSin = 0;
        double oddSin = 0;
        for (int i = 0; i < CHUNK; i += 2) {
            evenCos += chunk[i] * cos[i];
            evenSin += chunk[i] * sin[i];
            oddCos += chunk[i + 1] * cos[i + 1];
            oddSin += chunk[i + 1] * sin[i + 1];
        }
        both[0] = evenCos + oddCos;
        both[1] = evenSin + oddSin;
    }

    /** Takes so much of each line out of the samples. */
    void takeOut(double[] samples, double[] ofCos, double[] ofSin) {
        double[] chunk = new double[CHUNK];
        for (int from = 0; from < samples.length; from += CHUNK) {
            copy(samples, from, chunk);
            for (int line = 0; line < radians.length; line++) {
                double begins = begins(samples, from, line);
                double turnedCos = Math.cos(begins);
                double turnedSin = Math.sin(begins);
                subtract(
                        chunk,
                        cos[line],
                        ofCos[line] * turnedCos + ofSin[line] * turnedSin,
                        sin[line],
                        ofSin[line] * turnedCos - ofCos[line] * turnedSin);
            }
            System.arraycopy(chunk, 0, samples, from, Math.min(CHUNK, samples.length - from));
        }
    }

    private static void subtract(double[] chunk, double[] cos, double ofCos, double[] sin, double ofSin) {
        for (int i = 0; i < CHUNK; i++) {
            chunk[i] -= ofCos * cos[i] + ofSin * sin[i];
        }
    }
}
