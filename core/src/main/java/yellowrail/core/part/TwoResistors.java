package yellowrail.core.part;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import yellowrail.core.standard.StandardValues;

/**
 * A value made of two standard ones.
 *
 * @param first ohm
 * @param second ohm
 * @param parallel whether side by side; else one after the other
 */
public record TwoResistors(double first, double second, boolean parallel) {

    private static final int TOLD = 5;
    private static final double FARTHEST = 100;

    public double ohms() {
        return parallel ? first * second / (first + second) : first + second;
    }

    /** The share of the whole's watts that the first takes. */
    public double shareOfFirst() {
        return parallel ? second / (first + second) : first / (first + second);
    }

    /** The five nearest, each way of joining them. */
    public static List<TwoResistors> near(double ohms, StandardValues series) {
        return Stream.of(true, false)
                .flatMap(parallel -> firsts(ohms, series, parallel).map(first -> {
                    double rest = parallel ? 1 / (1 / ohms - 1 / first) : ohms - first;
                    return new TwoResistors(first, series.nearest(rest), parallel);
                }))
                .sorted(Comparator.comparingDouble(pair -> Math.abs(Math.log(pair.ohms() / ohms))))
                .limit(TOLD)
                .toList();
    }

    /** The larger of two in series, the smaller of two in parallel. */
    private static Stream<Double> firsts(double ohms, StandardValues series, boolean parallel) {
        return (parallel ? series.between(1.0001 * ohms, 2 * ohms) : series.between(ohms / 2, 0.9999 * ohms))
                .stream()
                        .filter(first -> parallel
                                ? 1 / (1 / ohms - 1 / first) < FARTHEST * ohms
                                : ohms - first > ohms / FARTHEST);
    }
}
