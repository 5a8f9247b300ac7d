package yellowrail.core.tone;

import java.util.Arrays;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * The mean power spectrum of samples: blocks that overlap by half under a {@link NuttallWindow}, averaged (Welch's
 * method). Two blocks go through one complex transform, as its real and its imaginary part.
 */
public final class PowerSpectrum {

    private static final int LONGEST = 1 << 15;

    private final double perSecond;
    private final int length;
    /** Mean square of what falls into each bin, from 0 to half the rate. */
    private final double[] power;

    /** @param perSecond samples */
    public PowerSpectrum(double[] samples, double perSecond) {
        this(samples, perSecond, LONGEST);
    }

    /** @param longest block, a power of two */
    public PowerSpectrum(double[] samples, double perSecond, int longest) {
        this.perSecond = perSecond;
        int block = Math.min(longest, samples.length);
        this.length = Integer.highestOneBit(2 * block - 1);
        this.power = new double[length / 2 + 1];
        double[] weights = new NuttallWindow(block).weights();
        int hop = Math.max(1, block / 2);
        int blocks = 1 + (samples.length - block) / hop;
        for (int i = 0; i < blocks; i += 2) {
            double[][] pair = new double[2][length];
            window(samples, i * hop, weights, pair[0]);
            if (i + 1 < blocks) {
                window(samples, (i + 1) * hop, weights, pair[1]);
            }
            add(pair);
        }
        double squares = 0;
        for (double weight : weights) {
            squares += weight * weight;
        }
        for (int k = 0; k < power.length; k++) {
            power[k] /= blocks * squares * length;
        }
    }

    private static void window(double[] samples, int from, double[] weights, double[] into) {
        for (int i = 0; i < weights.length; i++) {
            into[i] = weights[i] * samples[from + i];
        }
    }

    /** Of both blocks together; a bin stands for its negative too. */
    private void add(double[][] pair) {
        FastFourierTransformer.transformInPlace(pair, DftNormalization.STANDARD, TransformType.FORWARD);
        for (int k = 0; k < power.length; k++) {
            int mirror = (length - k) % length;
            double both = square(pair, k) + square(pair, mirror);
            power[k] += k == mirror ? both / 2 : both;
        }
    }

    private static double square(double[][] pair, int k) {
        return pair[0][k] * pair[0][k] + pair[1][k] * pair[1][k];
    }

    public int bins() {
        return power.length;
    }

    /** Mean square of what falls into a bin. */
    public double power(int bin) {
        return power[bin];
    }

    public double hertz(int bin) {
        return bin * perSecond / length;
    }

    int bin(double hertz) {
        return (int) Math.max(0, Math.min(power.length - 1, Math.rint(hertz * length / perSecond)));
    }

    /** Where in a band the most falls into a bin, Hz. */
    double strongest(Band band) {
        int strongest = bin(band.low());
        for (int k = strongest; k <= bin(band.high()); k++) {
            strongest = power[k] > power[strongest] ? k : strongest;
        }
        return hertz(strongest);
    }

    /** What falls into the median bin of a band: of noise, whatever lines stand in it. */
    public double median(Band band) {
        double[] bins = Arrays.copyOfRange(power, bin(band.low()), bin(band.high()));
        Arrays.sort(bins);
        return bins.length == 0 ? 0 : bins[bins.length / 2];
    }

    /** Mean square of what falls into a bin about there, a lobe to either side. */
    double about(double hertz) {
        int from = Math.max(1, bin(hertz) - (int) NuttallWindow.LOBE);
        int to = Math.min(power.length - 1, bin(hertz) + (int) NuttallWindow.LOBE);
        double sum = 0;
        for (int k = from; k <= to; k++) {
            sum += power[k];
        }
        return sum / (to - from + 1);
    }

    /** Mean square of what lies in a band. */
    public double power(Band band, Weighting weighting) {
        double sum = 0;
        for (int k = Math.max(1, bin(band.low())); k < power.length && hertz(k) <= band.high(); k++) {
            sum += power[k] * weighting.power(hertz(k));
        }
        return sum;
    }
}
