package yellowrail.core.audit;

/**
 * A node as it was read.
 *
 * @param label differs from every other
 * @param volts to ground, V
 * @param plusMinus half of its 95 % interval, of what it shares with no other reading: last digits, wandering, V, &gt;=
 *     0
 */
public record NodeVolts(String label, double volts, double plusMinus) {

    public NodeVolts {
        if (!Double.isFinite(volts) || !(plusMinus >= 0 && plusMinus < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("a node has volts and a plus-minus of 0 or more, was %s ± %s at %s"
                    .formatted(volts, plusMinus, label));
        }
    }
}
