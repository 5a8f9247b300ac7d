package yellowrail.core.iron;

/**
 * Which ends of two windings are in phase, by three voltages: both are fed together, an end of one is joined to an end
 * of the other, and their free ends are read. In phase the two volts stand against one another, else they add up.
 */
public final class Polarity {

    /** Of the sum: meters and hands are not better. */
    private static final double TOLERANCE = 0.05;

    private Polarity() {}

    /**
     * @param one across one winding, V
     * @param other across the other, V
     * @param free between the ends that are not joined, V
     */
    public static IronFinding of(double one, double other, double free) {
        double sum = one + other;
        double difference = Math.abs(one - other);
        if (2 * Math.min(one, other) < 2 * TOLERANCE * sum) {
            return new IronFinding.PhaseNotTold(difference, sum);
        }
        if (Math.abs(free - difference) <= TOLERANCE * sum) {
            return new IronFinding.InPhase(difference);
        }
        return Math.abs(free - sum) <= TOLERANCE * sum
                ? new IronFinding.OutOfPhase(sum)
                : new IronFinding.NeitherSumNorDifference(difference, sum);
    }
}
