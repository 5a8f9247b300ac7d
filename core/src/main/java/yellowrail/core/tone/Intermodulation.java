package yellowrail.core.tone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.root.UnsettledException;

/**
 * What two tones make of each other. Of bass and treble the lines beside the treble, at 1 to 5 times the bass to either
 * side, each pair added up, the root of the sum of their squares, of the treble. Of two trebles the line at their
 * difference, and the two at twice the one less the other, added up, the root of the sum of the squares, of both
 * trebles added up. Harmonics of either are no part of it.
 *
 * <p>Source: IEC 60268-3, modulation distortion and difference-frequency distortion.
 *
 * @param part a ratio of volts
 */
public record Intermodulation(TonePair pair, Line low, Line high, double part) {

    private static final int BESIDE = 5;
    private static final int MOST_ROUNDS = 20;
    /** Of the nominal frequency: so far off a player may be. */
    private static final double OFF = 0.01;
    /** The weaker tone is no less than this part of the stronger, in volts. */
    private static final double LEAST = 0.05;
    /** Of a turn over the recording. */
    private static final double SETTLED = 1e-6;

    /** A line at so many times the one tone and so many times the other. */
    private record Order(int low, int high) {

        double hertz(double lower, double higher) {
            return Math.abs(low * lower + high * higher);
        }
    }

    /**
     * @param spectrum of the samples
     * @return empty where these two tones are not the strongest lines of it, or do not settle
     */
    static Optional<Intermodulation> of(TonePair pair, double[] samples, double perSecond, PowerSpectrum spectrum) {
        double clear = NuttallWindow.LOBE * perSecond / samples.length;
        if (pair.high() * (1 + OFF) > perSecond / 2 - clear || pair.low() < 2 * clear) {
            return Optional.empty();
        }
        double low = spectrum.strongest(about(pair.low()));
        double high = spectrum.strongest(about(pair.high()));
        double lowPower = spectrum.power(spectrum.bin(low));
        double highPower = spectrum.power(spectrum.bin(high));
        double strongest = spectrum.power(spectrum.bin(spectrum.strongest(new Band(pair.low() / 2, perSecond / 2))));
        if (Math.max(lowPower, highPower) < strongest || Math.min(lowPower, highPower) < LEAST * LEAST * strongest) {
            return Optional.empty();
        }
        try {
            return Optional.of(fitted(pair, samples, perSecond, low, high));
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }

    private static Band about(double hertz) {
        return new Band(hertz * (1 - OFF), hertz * (1 + OFF));
    }

    private static Intermodulation fitted(TonePair pair, double[] samples, double perSecond, double low, double high) {
        NuttallWindow window = new NuttallWindow(samples.length);
        LineFit lines = new LineFit(window, perSecond);
        FrequencyFit frequency = new FrequencyFit(window, lines);
        double[] weighted = window.of(samples);
        double most = perSecond / 2 - lines.clear();
        List<Order> orders = orders(pair).stream()
                .filter(order -> order.hertz(low, high) < most)
                .toList();
        double bin = perSecond / samples.length;
        double lower = low;
        double higher = high;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double one = lower;
            double other = higher;
            LineFit.Fitted fitted = lines.fit(
                    weighted,
                    orders.stream().map(order -> order.hertz(one, other)).toList());
            double lowStep = frequency.step(weighted, fitted.lines().get(0), fitted);
            double highStep = frequency.step(weighted, fitted.lines().get(1), fitted);
            if (Math.max(Math.abs(lowStep), Math.abs(highStep)) < SETTLED * bin) {
                return told(pair, fitted.lines());
            }
            lower += Math.max(-bin, Math.min(bin, lowStep));
            higher += Math.max(-bin, Math.min(bin, highStep));
        }
        throw new UnsettledException(MOST_ROUNDS);
    }

    /** The two tones first, then what they make, pair by pair. */
    private static List<Order> orders(TonePair pair) {
        List<Order> orders = new ArrayList<>(List.of(new Order(1, 0), new Order(0, 1)));
        if (pair == TonePair.BASS_AND_TREBLE) {
            IntStream.rangeClosed(1, BESIDE).forEach(n -> {
                orders.add(new Order(-n, 1));
                orders.add(new Order(n, 1));
            });
            // Harmonics of the bass are fitted, so that they do not leak; they are not counted.
            IntStream.rangeClosed(2, BESIDE).forEach(n -> orders.add(new Order(n, 0)));
        } else {
            orders.add(new Order(-1, 1));
            orders.add(new Order(2, -1));
            orders.add(new Order(-1, 2));
        }
        return orders;
    }

    private static Intermodulation told(TonePair pair, List<Line> lines) {
        Line low = lines.get(0);
        Line high = lines.get(1);
        double squares = 0;
        if (pair == TonePair.BASS_AND_TREBLE) {
            for (int n = 1; n <= BESIDE; n++) {
                double both = lines.get(2 * n).peak() + lines.get(2 * n + 1).peak();
                squares += both * both;
            }
            return new Intermodulation(pair, low, high, Math.sqrt(squares) / high.peak());
        }
        double second = lines.get(2).peak();
        double third = lines.stream().skip(3).mapToDouble(Line::peak).sum();
        return new Intermodulation(pair, low, high, Math.hypot(second, third) / (low.peak() + high.peak()));
    }
}
