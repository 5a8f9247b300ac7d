package yellowrail.core.drift;

import java.util.Arrays;
import java.util.OptionalDouble;

/**
 * How far a single reading scatters, %: what was said or what is usual, together with what the readings themselves show
 * around their curve, and never less than what the meter's last digit leaves.
 *
 * @param deviation standard deviation, %
 * @param quantile how many of them a 95 % interval reaches, wider where the deviation itself is known from few readings
 */
record Noise(double deviation, double quantile) {

    /** Of a reading by hand of a reading that wanders a little, %. */
    private static final double USUAL = 0.3;
    /** How many readings the usual one counts for. */
    private static final double WORTH = 4;
    /** The same of a noise that was said. */
    private static final double SAID_WORTH = 20;

    /** No reading is finer, %. */
    private static final double LEAST = 0.02;

    private static final double NORMAL = 1.96;
    /** Enough to see whether one residual foretells the next. */
    private static final int ENOUGH = 20;

    private static final double MOST_LIKE = 0.9;

    /**
     * Where a noise is known from besides the readings.
     *
     * @param said %, or empty
     * @param digit standard deviation that the last digit leaves, %
     */
    record Source(OptionalDouble said, double digit) {

        /**
         * @param residuals around a curve, in the order of time, %; empty before there is one
         * @param unknowns of the curve
         */
        Noise of(double[] residuals, int unknowns) {
            double usual = said.orElse(USUAL);
            double worth = said.isPresent() ? SAID_WORTH : WORTH;
            double squares = Arrays.stream(residuals).map(each -> each * each).sum();
            double free = Math.max(0, residuals.length - unknowns);
            double freedom = worth + free;
            double variance = (worth * usual * usual + (free == 0 ? 0 : squares)) / freedom;
            return new Noise(
                    Math.max(Math.sqrt(variance * repeating(residuals)), Math.max(digit, LEAST)),
                    NORMAL + (Math.pow(NORMAL, 3) + NORMAL) / (4 * freedom));
        }

        /** Of a difference: the other side scatters too. */
        Source times(double factor) {
            return new Source(said.isPresent() ? OptionalDouble.of(factor * said.getAsDouble()) : said, factor * digit);
        }
    }

    /**
     * By what factor the variance of a mean grows because a residual is like the one before it, as under a mains that
     * wanders; 1 where that cannot be told from chance.
     */
    private static double repeating(double[] residuals) {
        int n = residuals.length;
        if (n < ENOUGH) {
            return 1;
        }
        double with = 0;
        double all = 0;
        for (int i = 0; i < n; i++) {
            all += residuals[i] * residuals[i];
            with += i > 0 ? residuals[i] * residuals[i - 1] : 0;
        }
        double like = all == 0 ? 0 : with / all;
        if (like < 2 / Math.sqrt(n)) {
            return 1;
        }
        double bounded = Math.min(MOST_LIKE, like);
        return (1 + bounded) / (1 - bounded);
    }
}
