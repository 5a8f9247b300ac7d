package yellowrail.core.drift;

import java.util.stream.IntStream;

/**
 * Fits {@code y0 + A exp(-t/tau) + b t} by the likelihood profile over tau: at each tau of a grid the rest is linear;
 * the interval of {@code b} is what any of them allows. A has a weak prior, for with few readings a slow settling and a
 * creep are the same curve.
 */
final class DriftFitter {

    /** Time constants of a tube and its chassis that warm through, min. */
    private static final double[] TAUS = {1.5, 1.9, 2.4, 3, 3.7, 4.6, 5.7, 7, 8.4, 10};

    /** How far a fresh idle may lie from the settled one, %. */
    static final double PRIOR = 8;

    static final int UNKNOWNS = 3;
    private static final int ROUNDS = 3;

    private final Curve curve;
    private final Noise.Source scatter;

    /** @param curve at least two readings */
    DriftFitter(Curve curve, Noise.Source scatter) {
        this.curve = curve;
        this.scatter = scatter;
    }

    DriftFit fit() {
        Noise noise = scatter.of(new double[0], UNKNOWNS);
        DriftFit fit = null;
        for (int round = 0; round < ROUNDS; round++) {
            fit = fit(noise);
            noise = scatter.of(residuals(fit), UNKNOWNS + 1);
        }
        return fit(noise);
    }

    /** What the readings lie off a curve, %. */
    double[] residuals(DriftFit fit) {
        return IntStream.range(0, curve.size())
                .mapToDouble(i -> curve.percent()[i] - fit.at(curve.minutes()[i]))
                .toArray();
    }

    private DriftFit fit(Noise noise) {
        LeastSquares.Solution[] profile = new LeastSquares.Solution[TAUS.length];
        int best = 0;
        for (int i = 0; i < TAUS.length; i++) {
            profile[i] = solve(TAUS[i], noise);
            best = profile[i].chi2() < profile[best].chi2() ? i : best;
        }
        double least = profile[best].chi2();
        double allowed = noise.quantile() * noise.quantile();
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (LeastSquares.Solution each : profile) {
            double rest = allowed - (each.chi2() - least);
            if (rest >= 0) {
                double reach = Math.sqrt(rest) * Math.sqrt(each.covariance()[2][2]);
                low = Math.min(low, each.x()[2] - reach);
                high = Math.max(high, each.x()[2] + reach);
            }
        }
        return new DriftFit(curve.first(), TAUS[best], profile[best], low, high, noise, least);
    }

    private LeastSquares.Solution solve(double tau, Noise noise) {
        return solve(curve.minutes(), curve.percent(), tau, noise);
    }

    private static LeastSquares.Solution solve(double[] minutes, double[] percent, double tau, Noise noise) {
        LeastSquares squares = new LeastSquares(UNKNOWNS);
        double weight = 1 / (noise.deviation() * noise.deviation());
        for (int i = 0; i < minutes.length; i++) {
            double t = minutes[i] - minutes[0];
            squares.add(new double[] {1, Math.exp(-t / tau), t}, percent[i], weight);
        }
        squares.prior(1, PRIOR);
        return squares.solve();
    }

    /** Half the 95 % interval of b that readings at these times would leave, %/min, whichever tau it is. */
    static double reach(double[] minutes, Noise noise) {
        double[] whatever = new double[minutes.length];
        double widest = 0;
        for (double tau : TAUS) {
            widest = Math.max(
                    widest, Math.sqrt(solve(minutes, whatever, tau, noise).covariance()[2][2]));
        }
        return noise.quantile() * widest;
    }
}
