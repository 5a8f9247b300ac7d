package yellowrail.core.tone;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What the mains add to a recording: lines at multiples of a frequency near 50 or 60 Hz, which is itself found where
 * they stand out of the noise. It is looked for in samples of which the tone was taken out, made fewer.
 */
final class HumFit {

    private static final int ORDERS = 10;
    /** Mains are within so much of their frequency, and the search goes so far. */
    private static final double OFF = 0.01;
    /** The mains wander: the search takes so many seconds. */
    private static final double SEARCHED = 10;

    private static final double FEWER = 4000;
    private static final double STANDS_OUT = 40;
    private static final int ROUNDS = 6;

    private final double perSecond;
    private final double nominal;

    /**
     * @param perSecond samples
     * @param nominal 50 or 60 Hz
     */
    HumFit(double perSecond, double nominal) {
        this.perSecond = perSecond;
        this.nominal = nominal;
    }

    /**
     * @param left samples without the tone
     * @param tone its lines; a multiple of the mains within a lobe of one cannot be told from it
     * @return a line for each multiple that can be told, in their order
     */
    List<Line> fit(double[] left, List<Line> tone) {
        NuttallWindow window = new NuttallWindow(left.length);
        LineFit lines = new LineFit(window, perSecond);
        double clear = lines.clear();
        List<Integer> orders = IntStream.rangeClosed(1, ORDERS)
                .filter(order -> nominal * order > clear && nominal * order < perSecond / 2 - clear)
                .filter(order -> tone.stream().noneMatch(line -> Math.abs(line.hertz() - nominal * order) < clear))
                .boxed()
                .toList();
        if (orders.isEmpty()) {
            return List.of();
        }
        double mains = mains(left, orders);
        return lines.fit(
                        window.of(left),
                        orders.stream().map(order -> order * mains).toList())
                .lines();
    }

    private double mains(double[] left, List<Integer> orders) {
        int ratio = (int) Math.max(1, perSecond / FEWER);
        double[] few = fewer(left, ratio);
        double rate = perSecond / ratio;
        int length = (int) Math.min(few.length, SEARCHED * rate);
        int from = (few.length - length) / 2;
        double[] middle = Arrays.copyOfRange(few, from, from + length);
        NuttallWindow window = new NuttallWindow(length);
        double[] weighted = window.of(middle);
        LineFit lines = new LineFit(window, rate);
        Seen best = strongest(lines, weighted, orders, rate / length);
        if (best.line().power() < STANDS_OUT * noise(middle, rate, length)) {
            return nominal;
        }
        FrequencyFit frequency = new FrequencyFit(window, lines);
        double hertz = best.line().hertz();
        for (int round = 0; round < ROUNDS; round++) {
            LineFit.Fitted fitted = lines.fit(weighted, List.of(hertz));
            hertz += frequency.step(weighted, fitted.lines().get(0), fitted);
        }
        double found = hertz / best.order();
        return Math.abs(found - nominal) < 2 * OFF * nominal ? found : nominal;
    }

    private record Seen(int order, Line line) {}

    /** Of the first two multiples that can be told, about their places. */
    private Seen strongest(LineFit lines, double[] weighted, List<Integer> orders, double bin) {
        Seen best = null;
        for (int order : orders.subList(0, Math.min(2, orders.size()))) {
            double off = OFF * nominal * order;
            for (double away = -off; away <= off; away += bin / 2) {
                Line line = lines.fit(weighted, List.of(nominal * order + away))
                        .lines()
                        .get(0);
                if (best == null || line.power() > best.line().power()) {
                    best = new Seen(order, line);
                }
            }
        }
        return best;
    }

    /** Power of a line where there is but noise: the median of the spectrum at low frequencies. */
    private double noise(double[] samples, double rate, int length) {
        PowerSpectrum spectrum = new PowerSpectrum(samples, rate);
        double density =
                spectrum.median(new Band(nominal / 2, ORDERS * nominal)) / (spectrum.hertz(1) - spectrum.hertz(0));
        return density * NuttallWindow.NOISE_BINS * rate / length;
    }

    /** Means of so many samples each. */
    private static double[] fewer(double[] samples, int ratio) {
        double[] few = new double[samples.length / ratio];
        for (int i = 0; i < few.length; i++) {
            double sum = 0;
            for (int j = 0; j < ratio; j++) {
                sum += samples[i * ratio + j];
            }
            few[i] = sum / ratio;
        }
        return few;
    }
}
