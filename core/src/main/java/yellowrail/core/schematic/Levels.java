package yellowrail.core.schematic;

import yellowrail.core.amp.Side;

/** How far below the rail things lie that go on from block to block. */
final class Levels {

    /** Words over the rail. */
    static final double ABOVE_RAIL = -14;
    /** The line that feeds the screens. */
    static final double SCREENS = 30;
    /** What the plates of the push side hang on, and the first end of the primary. */
    static final double PUSH = 54;
    /** The same of the pull side, or of a single side. */
    static final double PULL = 98;
    /** The middle of the primary. */
    static final double TAP = (PUSH + PULL) / 2;

    static final double TUBE = 174;
    /** The line that the grid leaks hang on. */
    static final double BIAS = TUBE + 66;
    /** Where cathodes that share a resistor are joined; the next pair that does, one step lower. */
    static final double CATHODES = BIAS + 10;

    static final double STEP = 7;

    /** Half of a half primary. */
    private static final double QUARTER = 11;

    private Levels() {}

    static double plate(Side side) {
        return side == Side.PUSH ? PUSH : PULL;
    }

    /** What the screens of a side hang on in an ultralinear stage. */
    static double screen(Side side) {
        return side == Side.PUSH ? TAP - QUARTER : TAP + QUARTER;
    }
}
