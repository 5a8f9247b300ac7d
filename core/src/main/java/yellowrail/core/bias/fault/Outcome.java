package yellowrail.core.bias.fault;

/** What a fault does to the tubes. */
public enum Outcome {
    /** The grids get more negative: they are safe. */
    COLD,
    /** Nothing that matters. */
    UNCHANGED,
    /** They draw more than they were set to. */
    HOT,
    /** Nothing holds them any more. */
    RUNAWAY;

    /** Less than this is no change, as a ratio. */
    private static final double SAME = 0.02;
    /** Half the volts hold nothing. */
    private static final double LOST = 0.5;
    /** A plate that burns so much more than its rating is past holding. */
    private static final double BURNS = 1.5;

    /**
     * @param set grid volts as they were set, V, negative
     * @param now what they get, V
     * @param overRating plate dissipation over the rating; 0 where that is not known
     */
    static Outcome of(double set, double now, double overRating) {
        double ratio = now / set;
        if (ratio > 1 + SAME) {
            return COLD;
        }
        if (ratio >= 1 - SAME) {
            return UNCHANGED;
        }
        return ratio < LOST || overRating > BURNS ? RUNAWAY : HOT;
    }
}
