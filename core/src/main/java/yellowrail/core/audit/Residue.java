package yellowrail.core.audit;

/**
 * What flows into a node and is not seen to flow out.
 *
 * @param node its label
 * @param amps in less out, A
 * @param plusMinus half of its 95 % interval, A
 */
public record Residue(String node, double amps, double plusMinus) {

    /** Whether it is no more than its plus-minus. */
    public boolean explained() {
        return Math.abs(amps) <= plusMinus;
    }
}
