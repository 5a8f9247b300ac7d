package yellowrail.core.bias.review;

/** What was read at a grid with the pot at a stop, the tubes out, against what the supply would give there. */
public final class StopCheck {

    /** Below this part of what it should be there is no bias at all. */
    private static final double NONE = 0.2;

    private StopCheck() {}

    /**
     * @param read V, to ground
     * @param coldest computed, at the mains of the reading, V, negative
     * @param hottest likewise
     * @param within how far parts may leave it off, as a ratio
     */
    public static BiasRemark of(double read, double coldest, double hottest, double within) {
        double computed = Math.abs(read - coldest) <= Math.abs(read - hottest) ? coldest : hottest;
        double off = read / computed - 1;
        if (read > NONE * -hottest) {
            return new BiasRemark.StopPositive(read);
        }
        if (read > NONE * hottest) {
            return new BiasRemark.StopWithoutBias(read, computed);
        }
        return Math.abs(off) <= within
                ? new BiasRemark.StopAsComputed(read, computed)
                : new BiasRemark.StopOff(read, computed, off);
    }
}
