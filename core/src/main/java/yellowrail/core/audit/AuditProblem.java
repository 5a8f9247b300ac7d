package yellowrail.core.audit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A supply as it was read.
 *
 * @param nodes no two of one label, none called {@value Part#GROUND}
 * @param parts between them
 * @param draws from them
 * @param gain of the one meter that read them all, half of its 95 % interval, as a ratio: it drops out of no current,
 *     but of the small difference of two large voltages it is a small part
 */
public record AuditProblem(List<NodeVolts> nodes, List<Part> parts, List<Draw> draws, double gain) {

    /** @throws IllegalArgumentException if a label stands twice, or a part or a draw is at no node */
    public AuditProblem {
        nodes = List.copyOf(nodes);
        parts = List.copyOf(parts);
        draws = List.copyOf(draws);
        if (!(gain >= 0 && gain < 1)) {
            throw new IllegalArgumentException("a meter's gain error is a ratio from 0 to 1, was " + gain);
        }
        Map<String, NodeVolts> known = withGround(nodes);
        if (known.size() <= nodes.size()) {
            throw new IllegalArgumentException("labels of nodes differ, and none is " + Part.GROUND);
        }
        for (Part part : parts) {
            if (!known.containsKey(part.from()) || !known.containsKey(part.to())) {
                throw new IllegalArgumentException("no node of a part from %s to %s".formatted(part.from(), part.to()));
            }
        }
        for (Draw draw : draws) {
            if (draw.node().equals(Part.GROUND) || !known.containsKey(draw.node())) {
                throw new IllegalArgumentException("no node %s to draw from".formatted(draw.node()));
            }
        }
    }

    private static Map<String, NodeVolts> withGround(List<NodeVolts> nodes) {
        Map<String, NodeVolts> known = new HashMap<>();
        nodes.forEach(node -> known.put(node.label(), node));
        known.put(Part.GROUND, new NodeVolts(Part.GROUND, 0, 0));
        return known;
    }

    /** Every node by its label, ground among them. */
    Map<String, NodeVolts> known() {
        return withGround(nodes);
    }
}
