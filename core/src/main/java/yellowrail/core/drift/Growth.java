package yellowrail.core.drift;

import java.util.stream.IntStream;

/**
 * Whether a curve accelerates: what an exponential growth on top of settling and drift explains better than they do
 * alone.
 *
 * @param gain by how much the weighted squares get less
 * @param squares what it leaves, %^2
 * @param percent how much of the present value is growth
 * @param efold in which it grows by e, min
 * @param slope at the end, %/min
 * @param slopePlusMinus half the 95 % interval of it
 * @param fit the unknowns y0, A, b and the growth at the end
 * @param tau of the settling, min
 * @param from when its time begins
 * @param end of the readings
 */
record Growth(
        double gain,
        double squares,
        double percent,
        double efold,
        double slope,
        double slopePlusMinus,
        LeastSquares.Solution fit,
        double tau,
        double from,
        double end) {

    private static final double[] TIMES = {1.5, 2.5, 4, 6.5, 10};
    private static final double[] TAUS = {1.5, 3, 5, 8};

    /** Better than chance by so much, in squares. */
    private static final double CERTAIN = 14;
    /** Growth that is less, %, or slower, %/min, is not yet told from a drift. */
    private static final double LEAST = 2;

    private static final double LEAST_SLOPE = 0.3;

    private static final int FEWEST = 6;
    private static final int UNKNOWNS = 4;

    static Growth of(Curve curve, DriftFit drift, Noise.Source scatter) {
        Growth rough = best(curve, drift, drift.noise());
        Noise own = scatter.of(rough.residuals(curve), UNKNOWNS + 2);
        return own.deviation() < drift.noise().deviation() ? best(curve, drift, own) : rough;
    }

    /** @param noise of a reading: what a curve that bends leaves around a straight one is none */
    private static Growth best(Curve curve, DriftFit drift, Noise noise) {
        double end = curve.last();
        double weight = 1 / Math.pow(noise.deviation(), 2);
        double without = drift.chi2() * Math.pow(drift.noise().deviation(), 2) * weight;
        Growth best = null;
        for (double tau : TAUS) {
            for (double time : TIMES) {
                LeastSquares squares = new LeastSquares(UNKNOWNS);
                for (int i = 0; i < curve.size(); i++) {
                    double t = curve.minutes()[i];
                    squares.add(row(t, tau, time, curve.first(), end), curve.percent()[i], weight);
                }
                squares.prior(1, DriftFitter.PRIOR);
                LeastSquares.Solution fit = squares.solve();
                double gain = without - fit.chi2();
                if (best == null || gain > best.gain) {
                    double settling = Math.exp(-(end - curve.first()) / tau);
                    double[] slope = {0, -settling / tau, 1, 1 / time};
                    best = new Growth(
                            gain,
                            fit.chi2() / weight,
                            fit.x()[3] * (1 - Math.exp(-(end - curve.first()) / time)),
                            time,
                            fit.sum(slope),
                            noise.quantile() * fit.deviation(slope),
                            fit,
                            tau,
                            curve.first(),
                            end);
                }
            }
        }
        return best;
    }

    private double[] residuals(Curve curve) {
        return IntStream.range(0, curve.size())
                .mapToDouble(i -> curve.percent()[i] - at(curve.minutes()[i]))
                .toArray();
    }

    private static double[] row(double t, double tau, double time, double from, double end) {
        return new double[] {1, Math.exp(-(t - from) / tau), t - from, Math.exp((t - end) / time)};
    }

    /** Whether it runs away for certain. */
    boolean isRunaway(Curve curve) {
        return curve.size() >= FEWEST && gain > CERTAIN && percent > LEAST && slope - slopePlusMinus > LEAST_SLOPE;
    }

    /** Its value at a time, %. */
    double at(double minutes) {
        return fit.sum(row(minutes, tau, efold, from, end));
    }
}
