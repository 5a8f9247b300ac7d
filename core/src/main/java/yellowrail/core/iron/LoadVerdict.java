package yellowrail.core.iron;

/**
 * A load against the one the stage was made for. Schools differ on whether lighter is safer, so beyond 2:1 both ways
 * are warned of; an open output is a stop.
 */
public enum LoadVerdict {
    SHORTED,
    FAR_TOO_HEAVY,
    HEAVY,
    MATCHED,
    LIGHT,
    FAR_TOO_LIGHT,
    OPEN;

    /** Within this of the nominal load nobody hears or measures a difference. */
    private static final double MATCH = 1.25;

    private static final double FAR = 2;
    private static final double ROUNDING = 1e-9;
    /** What no speaker is: less than this of the nominal is a short, more than its inverse an open output. */
    private static final double NOTHING = 0.02;

    /** @param ratio load over the nominal one; infinity for an open output */
    public static LoadVerdict of(double ratio) {
        if (!(ratio >= 0)) {
            throw new IllegalArgumentException("a load is 0 ohm or more of the nominal, was " + ratio);
        }
        if (ratio < NOTHING || ratio > 1 / NOTHING) {
            return ratio < 1 ? SHORTED : OPEN;
        }
        double off = Math.max(ratio, 1 / ratio);
        boolean light = ratio > 1;
        if (off <= MATCH + ROUNDING) {
            return MATCHED;
        }
        return off <= FAR + ROUNDING ? light ? LIGHT : HEAVY : light ? FAR_TOO_LIGHT : FAR_TOO_HEAVY;
    }

    public boolean isStop() {
        return this == SHORTED || this == OPEN;
    }
}
