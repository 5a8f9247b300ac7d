package yellowrail.core.bias;

/**
 * The travel of a range pot from its coldest stop, 0, to its hottest, 1, with the grid volts along it: solved at 21
 * places, straight between them.
 */
public final class Travel {

    private static final int PARTS = 20;

    private final double[] volts = new double[PARTS + 1];

    public Travel(BiasRange range) {
        for (int i = 0; i <= PARTS; i++) {
            volts[i] = range.gridNear((double) i / PARTS);
        }
    }

    /** Where grid volts lie on it; at a stop what lies beyond. */
    public double of(double grid) {
        if (grid <= volts[0]) {
            return 0;
        }
        for (int i = 1; i <= PARTS; i++) {
            if (grid <= volts[i]) {
                return (i - 1 + (grid - volts[i - 1]) / (volts[i] - volts[i - 1])) / PARTS;
            }
        }
        return 1;
    }

    /** Grid volts at a stand, V, negative. */
    public double volts(double turn) {
        int below = (int) Math.min(PARTS - 1, Math.floor(turn * PARTS));
        return volts[below] + (turn * PARTS - below) * (volts[below + 1] - volts[below]);
    }
}
