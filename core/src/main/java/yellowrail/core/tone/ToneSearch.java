package yellowrail.core.tone;

import java.util.OptionalDouble;

/** Where the fundamental of a tone about is: the strongest line, or that of which the strongest is a harmonic. */
final class ToneSearch {

    /** Of the strongest line's amplitude: a lower one that weak is no fundamental. */
    private static final double AS_STRONG = 0.7;

    private static final int MOST_ORDER = 5;
    /** So many times what lies about it in the mean: white noise does not reach that. */
    private static final double STANDS_OUT = 40;

    private final PowerSpectrum spectrum;
    private final int least;
    private final int most;

    /**
     * @param spectrum of one block
     * @param least Hz
     * @param most Hz
     */
    ToneSearch(PowerSpectrum spectrum, double least, double most) {
        this.spectrum = spectrum;
        this.least = Math.max(3, spectrum.bin(least));
        this.most = Math.min(spectrum.bins() - 3, spectrum.bin(most));
    }

    /** Hz; empty where nothing stands out of the noise. */
    OptionalDouble fundamental() {
        int strongest = strongest(least, most);
        if (strongest < 0 || !standsOut(strongest)) {
            return OptionalDouble.empty();
        }
        for (int order = MOST_ORDER; order > 1; order--) {
            int middle = spectrum.bin(peak(strongest) / order);
            int lower = strongest(Math.max(least, middle - 1), middle + 1);
            if (lower > least
                    && isPeak(lower)
                    && spectrum.power(lower) > AS_STRONG * AS_STRONG * spectrum.power(strongest)) {
                return OptionalDouble.of(peak(lower));
            }
        }
        return OptionalDouble.of(peak(strongest));
    }

    private int strongest(int from, int to) {
        int strongest = -1;
        for (int k = from; k <= to; k++) {
            if (strongest < 0 || spectrum.power(k) > spectrum.power(strongest)) {
                strongest = k;
            }
        }
        return strongest;
    }

    private boolean isPeak(int bin) {
        return spectrum.power(bin) >= spectrum.power(bin - 1) && spectrum.power(bin) >= spectrum.power(bin + 1);
    }

    private boolean standsOut(int strongest) {
        double sum = 0;
        int bins = 0;
        for (int k = least; k <= most; k++) {
            if (Math.abs(k - strongest) > 3 * NuttallWindow.LOBE) {
                sum += spectrum.power(k);
                bins++;
            }
        }
        return bins == 0 || spectrum.power(strongest) > STANDS_OUT * sum / bins;
    }

    /** The top of a parabola through the logarithms of a bin and its neighbours, Hz. */
    private double peak(int bin) {
        double before = Math.log(spectrum.power(bin - 1));
        double here = Math.log(spectrum.power(bin));
        double after = Math.log(spectrum.power(bin + 1));
        double bend = before - 2 * here + after;
        double off = bend < 0 ? (before - after) / (2 * bend) : 0;
        return spectrum.hertz(bin) + off * (spectrum.hertz(1) - spectrum.hertz(0));
    }
}
