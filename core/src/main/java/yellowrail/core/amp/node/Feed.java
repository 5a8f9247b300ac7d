package yellowrail.core.amp.node;

import java.util.Optional;

/**
 * What a node is fed through.
 *
 * @param from the label of the node it comes from
 * @param through what lies between; empty for a cathode whose tube stands on that node itself, as a follower's does
 * @param choke whether that is a choke, by its copper
 */
public record Feed(String from, Optional<Resistor> through, boolean choke) {

    public Feed {
        from = ChartNode.tidy(from);
    }
}
