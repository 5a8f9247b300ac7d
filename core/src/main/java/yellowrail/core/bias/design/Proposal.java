package yellowrail.core.bias.design;

import java.util.List;
import yellowrail.core.bias.BiasRange;

/**
 * A supply that reaches what was wished, solved.
 *
 * @param range what it gives
 * @param changes what is soldered
 * @param rewired whether the parts are joined in another way
 * @param coldRoom how far its coldest stop lies beyond what is needed, V
 * @param hotRoom how far its hottest stop lies short of what is needed, V
 * @param watts what its resistors burn in all, W
 */
public record Proposal(
        BiasRange range, List<Change> changes, boolean rewired, double coldRoom, double hotRoom, double watts) {

    public Proposal {
        changes = List.copyOf(changes);
    }

    /** Rewiring is as much work as a part. */
    public int deeds() {
        return changes.size() + (rewired ? 1 : 0);
    }

    /** The smaller of both rooms, V. */
    double room() {
        return Math.min(coldRoom, hotRoom);
    }
}
