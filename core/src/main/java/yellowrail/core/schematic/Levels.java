package yellowrail.core.schematic;

/** How far below the rail things lie that go on from block to block. */
final class Levels {

    /** The line that feeds the screens. */
    static final double SCREENS = 30;
    /** What the plates of the push side hang on, and the first end of the primary. */
    static final double PUSH = 54;
    /** The same of the pull side, or of a single side. */
    static final double PULL = 98;

    static final double TUBE = 160;
    /** The line that the grid leaks hang on. */
    static final double BIAS = 226;
    /** Where cathodes that share a resistor are joined; the next pair that does, one step lower. */
    static final double CATHODES = 236;

    static final double STEP = 7;

    private Levels() {}
}
