package yellowrail.core.drift;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A jump between two readings after which the curve goes on as before: a pot that was turned, or a lead that was moved,
 * and nobody said so.
 *
 * @param index of the first reading after it
 * @param percent how far it jumped
 */
record Step(int index, double percent) {

    /** Less is not told from a wandering mains, %. */
    private static final double LEAST = 1.5;
    /** Fewer readings on either side do not show that it stays there. */
    private static final int SIDE = 4;
    /** In squares: a step is found among many places, so chance must be far off. */
    private static final double CERTAIN = 30;

    /** It must leave so much less than a curve that accelerates. */
    private static final double BETTER = 0.75;

    private static final int UNKNOWNS = 4;
    private static final int MOST_PLACES = 12;

    static Optional<Step> in(Curve curve, DriftFit drift, Growth growth, Noise.Source scatter) {
        double variance = Math.pow(drift.noise().deviation(), 2);
        double without = drift.chi2() * variance;
        Step best = null;
        double least = BETTER * Math.min(without, growth.squares());
        for (int index : places(curve)) {
            LeastSquares.Solution fit = fit(curve, drift, index);
            double left = fit.chi2() * variance;
            double own = Math.pow(
                    scatter.of(residuals(curve, drift, index, fit), UNKNOWNS + 1)
                            .deviation(),
                    2);
            if (left < least && (without - left) / own > CERTAIN && Math.abs(fit.x()[3]) > LEAST) {
                least = left;
                best = new Step(index, fit.x()[3]);
            }
        }
        return Optional.ofNullable(best);
    }

    private static LeastSquares.Solution fit(Curve curve, DriftFit drift, int index) {
        LeastSquares squares = new LeastSquares(UNKNOWNS);
        double weight = 1 / Math.pow(drift.noise().deviation(), 2);
        for (int i = 0; i < curve.size(); i++) {
            squares.add(row(curve, drift, index, i), curve.percent()[i], weight);
        }
        squares.prior(1, DriftFitter.PRIOR);
        return squares.solve();
    }

    private static double[] row(Curve curve, DriftFit drift, int index, int i) {
        double t = curve.minutes()[i] - curve.first();
        return new double[] {1, Math.exp(-t / drift.tau()), t, i >= index ? 1 : 0};
    }

    private static double[] residuals(Curve curve, DriftFit drift, int index, LeastSquares.Solution fit) {
        return IntStream.range(0, curve.size())
                .mapToDouble(i -> curve.percent()[i] - fit.sum(row(curve, drift, index, i)))
                .toArray();
    }

    /** The greatest jumps between neighbours, far enough from both ends. */
    private static int[] places(Curve curve) {
        Integer[] order = new Integer[Math.max(0, curve.size() - 2 * SIDE + 1)];
        Arrays.setAll(order, i -> i + SIDE);
        Arrays.sort(order, (one, other) -> Double.compare(jump(curve, other), jump(curve, one)));
        return Arrays.stream(order)
                .limit(MOST_PLACES)
                .filter(index -> jump(curve, index) > LEAST / 2)
                .mapToInt(Integer::intValue)
                .toArray();
    }

    private static double jump(Curve curve, int index) {
        return Math.abs(curve.percent()[index] - curve.percent()[index - 1]);
    }
}
