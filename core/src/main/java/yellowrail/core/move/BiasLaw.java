package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a tube's current follows its grid along the supply line: {@code Ik^(2/3) = a + b Vg}, the three-halves law, in
 * which the falling plate voltage is already contained. Source: the space-charge law for the cathode current of a
 * tetrode, used only between and a little beyond measured points.
 *
 * @param a A^(2/3)
 * @param b A^(2/3)/V, &gt; 0
 */
record BiasLaw(double a, double b) {

    private static final double THREE_HALVES = 1.5;
    /** Grid volts nearer than this show no slope, V. */
    private static final double APART = 0.2;

    /** A grid voltage to the cathode and the cathode current it gave. */
    record Pair(double grid, double amps) {}

    /** @return the law through the pairs, by least squares; empty if they show no rising slope */
    static Optional<BiasLaw> through(List<Pair> pairs) {
        double meanGrid = pairs.stream().mapToDouble(Pair::grid).average().orElse(0);
        double meanX =
                pairs.stream().mapToDouble(pair -> x(pair.amps())).average().orElse(0);
        double squares = pairs.stream()
                .mapToDouble(pair -> Math.pow(pair.grid() - meanGrid, 2))
                .sum();
        double products = pairs.stream()
                .mapToDouble(pair -> (pair.grid() - meanGrid) * (x(pair.amps()) - meanX))
                .sum();
        if (!(squares > APART * APART / 2 && products > 0)) {
            return Optional.empty();
        }
        double b = products / squares;
        return Optional.of(new BiasLaw(meanX - b * meanGrid, b));
    }

    static double x(double amps) {
        return Math.pow(amps, 1 / THREE_HALVES);
    }

    static double amps(double x) {
        return x > 0 ? Math.pow(x, THREE_HALVES) : 0;
    }

    /** @return the grid volts for a current, V */
    double grid(double amps) {
        return (x(amps) - a) / b;
    }

    /** @return the current at a grid voltage, A; none below cut-off */
    OptionalDouble current(double grid) {
        double x = a + b * grid;
        return x > 0 ? OptionalDouble.of(amps(x)) : OptionalDouble.empty();
    }
}
