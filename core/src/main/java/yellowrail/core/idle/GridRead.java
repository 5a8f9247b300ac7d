package yellowrail.core.idle;

/**
 * Grid volts read at the grid itself: the meter's ten megohms and the grid leak divide what is there, and while the
 * probe is on, the tube idles hotter for it.
 *
 * <pre>there = read (Rmeter + Rleak) / Rmeter</pre>
 */
public final class GridRead {

    /** What nearly every hand-held meter loads with, ohm. */
    private static final double METER = 10e6;

    private GridRead() {}

    /** @return what stands behind the leak while no probe is on, V */
    public static double behind(double read, double leakOhms) {
        return read * (METER + leakOhms) / METER;
    }
}
