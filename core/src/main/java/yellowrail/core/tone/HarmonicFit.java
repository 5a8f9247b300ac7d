package yellowrail.core.tone;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.root.UnsettledException;

/**
 * The fundamental of a recording to the last digits of its frequency, and its harmonics with it: first over the middle
 * of a long recording, all lines together, then over the whole of it, where the others are too far away to matter.
 */
final class HarmonicFit {

    /** The last harmonic that is fitted. */
    static final int MOST_ORDER = 20;

    private static final int MIDDLE = 1 << 16;
    private static final int MOST_ROUNDS = 40;
    /** Of a turn over the recording: what its frequency may still be off. */
    private static final double SETTLED = 1e-7;

    private final double perSecond;

    /** @param perSecond samples */
    HarmonicFit(double perSecond) {
        this.perSecond = perSecond;
    }

    /**
     * @param begin near the fundamental, Hz
     * @return the fundamental first
     * @throws UnsettledException if its frequency does not settle
     */
    LineFit.Fitted fit(double[] samples, double begin) {
        int length = Math.min(samples.length, MIDDLE);
        int from = (samples.length - length) / 2;
        NuttallWindow middle = new NuttallWindow(length);
        double hertz = refined(middle, middle.of(Arrays.copyOfRange(samples, from, from + length)), begin, MOST_ORDER);
        NuttallWindow window = new NuttallWindow(samples.length);
        double[] weighted = window.of(samples);
        if (length < samples.length) {
            hertz = refined(window, weighted, hertz, 1);
        }
        LineFit lines = new LineFit(window, perSecond);
        return lines.fit(weighted, harmonics(hertz, lines, MOST_ORDER));
    }

    private double refined(NuttallWindow window, double[] weighted, double begin, int orders) {
        LineFit lines = new LineFit(window, perSecond);
        FrequencyFit frequency = new FrequencyFit(window, lines);
        double bin = perSecond / weighted.length;
        double hertz = begin;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            LineFit.Fitted fitted = lines.fit(weighted, harmonics(hertz, lines, orders));
            double step = frequency.step(weighted, fitted.lines().get(0), fitted);
            hertz += Math.max(-bin / 2, Math.min(bin / 2, step));
            if (Math.abs(step) < SETTLED * bin) {
                return hertz;
            }
        }
        throw new UnsettledException(MOST_ROUNDS);
    }

    /** As far as they stay clear of half the rate. */
    private List<Double> harmonics(double hertz, LineFit lines, int orders) {
        double most = perSecond / 2 - lines.clear();
        return IntStream.rangeClosed(1, orders)
                .mapToObj(order -> order * hertz)
                .filter(each -> each < most || each == hertz)
                .toList();
    }
}
