package yellowrail.core;

/**
 * How much of what can be tried a thousand times is tried: all of it, or a part with {@code ./yellow-rail test --fast}.
 */
public final class Thorough {

    private static final boolean FAST = Boolean.getBoolean("fast");

    private Thorough() {}

    public static int of(int all, int fast) {
        return FAST ? fast : all;
    }
}
