package yellowrail.core.audit;

/**
 * A current that leaves a node by other ways than the parts: into a tube, a stage. What is fed into it is negative.
 *
 * @param node its label
 * @param amps A
 * @param plusMinus half of its 95 % interval, A, &gt;= 0
 */
public record Draw(String node, double amps, double plusMinus) {

    public Draw {
        if (!Double.isFinite(amps) || !(plusMinus >= 0 && plusMinus < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException(
                    "a draw has amps and a plus-minus of 0 or more, was %s ± %s".formatted(amps, plusMinus));
        }
    }
}
