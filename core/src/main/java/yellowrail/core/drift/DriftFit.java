package yellowrail.core.drift;

/**
 * A curve {@code y0 + A exp(-t/tau) + b t} through readings, with what of {@code b} they leave open.
 *
 * @param from when its time begins, min
 * @param tau min
 * @param best the unknowns y0 %, A %, b %/min at that tau
 * @param rateLow least b within the 95 % interval over every tau, %/min
 * @param rateHigh greatest
 * @param noise of a reading
 * @param chi2 weighted sum of squares left
 */
record DriftFit(
        double from,
        double tau,
        LeastSquares.Solution best,
        double rateLow,
        double rateHigh,
        Noise noise,
        double chi2) {

    double rate() {
        return best.x()[2];
    }

    /** Its value at a time, %. */
    double at(double minutes) {
        return best.sum(factors(minutes));
    }

    /** Half the 95 % band of the curve there, %. */
    double band(double minutes) {
        return noise.quantile() * best.deviation(factors(minutes));
    }

    /** What of the settling is still to go at a time, %. */
    double unsettled(double minutes) {
        return best.x()[1] * decay(minutes);
    }

    /** How fast it moves there, %/min. */
    double slope(double minutes) {
        return best.sum(slopeFactors(minutes));
    }

    double slopePlusMinus(double minutes) {
        return noise.quantile() * best.deviation(slopeFactors(minutes));
    }

    /** How fast the settling alone moves there. */
    double settlingSlope(double minutes) {
        return -best.x()[1] * decay(minutes) / tau;
    }

    private double[] slopeFactors(double minutes) {
        return new double[] {0, -decay(minutes) / tau, 1};
    }

    private double[] factors(double minutes) {
        return new double[] {1, decay(minutes), minutes - from};
    }

    private double decay(double minutes) {
        return Math.exp(-(minutes - from) / tau);
    }
}
