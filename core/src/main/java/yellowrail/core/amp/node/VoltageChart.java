package yellowrail.core.amp.node;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The nodes of an amp besides those of its output stage, and its heaters.
 *
 * @param nodes in the order in which they were listed
 * @param windings that heat
 */
public record VoltageChart(List<ChartNode> nodes, List<HeaterWinding> windings) {

    public static final VoltageChart EMPTY = new VoltageChart(List.of(), List.of());
    public static final int MOST_NODES = 200;

    /** @throws IllegalArgumentException if {@link #faults} finds any */
    public VoltageChart {
        nodes = List.copyOf(nodes);
        windings = List.copyOf(windings);
        List<ChartFault> faults = faults(nodes);
        if (!faults.isEmpty()) {
            throw new IllegalArgumentException(faults.get(0).toString());
        }
    }

    public VoltageChart(List<ChartNode> nodes) {
        this(nodes, List.of());
    }

    /** The same heaters under other nodes. */
    public VoltageChart withNodes(List<ChartNode> others) {
        return new VoltageChart(others, windings);
    }

    /** The same nodes with other heaters. */
    public VoltageChart withWindings(List<HeaterWinding> others) {
        return new VoltageChart(nodes, others);
    }

    /** What is wrong with nodes as the parts of one chart. */
    public static List<ChartFault> faults(List<ChartNode> nodes) {
        List<ChartFault> faults = new ArrayList<>();
        if (nodes.size() > MOST_NODES) {
            faults.add(new ChartFault.TooManyNodes(nodes.size(), MOST_NODES));
        }
        Map<String, ChartNode> known = new HashMap<>();
        for (ChartNode node : nodes) {
            if (known.put(ChartNode.key(node.label()), node) != null) {
                faults.add(new ChartFault.LabelTwice(node.label()));
            }
        }
        for (ChartNode node : nodes) {
            node.feed()
                    .map(Feed::from)
                    .filter(from -> !known.containsKey(ChartNode.key(from)))
                    .ifPresent(from -> faults.add(new ChartFault.NoSuchNode(node.label(), from)));
            if (!node.twin().isBlank() && !known.containsKey(ChartNode.key(node.twin()))) {
                faults.add(new ChartFault.NoSuchNode(node.label(), node.twin()));
            }
            if (isInALoop(node, known)) {
                faults.add(new ChartFault.FedFromItself(node.label()));
            }
        }
        return faults;
    }

    private static boolean isInALoop(ChartNode node, Map<String, ChartNode> known) {
        Set<String> passed = new HashSet<>();
        Optional<ChartNode> at = Optional.of(node);
        while (at.isPresent() && passed.add(ChartNode.key(at.get().label()))) {
            at = at.get().feed().map(feed -> known.get(ChartNode.key(feed.from())));
            if (at.map(found -> found == node).orElse(false)) {
                return true;
            }
        }
        return false;
    }

    public boolean isEmpty() {
        return nodes.isEmpty();
    }

    public Optional<ChartNode> node(String label) {
        String wanted = ChartNode.tidy(label);
        return nodes.stream().filter(node -> node.isCalled(wanted)).findFirst();
    }

    /** The node whose label a text begins with; the longest such. */
    public Optional<ChartNode> atTheBeginningOf(String text) {
        String said = ChartNode.key(ChartNode.tidy(text));
        return nodes.stream()
                .filter(node ->
                        said.equals(ChartNode.key(node.label())) || said.startsWith(ChartNode.key(node.label()) + " "))
                .reduce((one, other) -> other.label().length() > one.label().length() ? other : one);
    }

    /** What is fed from a node. */
    public List<ChartNode> fedFrom(ChartNode node) {
        return nodes.stream()
                .filter(each ->
                        each.feed().filter(feed -> node.isCalled(feed.from())).isPresent())
                .toList();
    }

    /** Where a node is fed from; empty for a source. */
    public Optional<ChartNode> feeder(ChartNode node) {
        return node.feed()
                .flatMap(feed -> nodes.stream()
                        .filter(each -> each.isCalled(feed.from()))
                        .findFirst());
    }

    /** The nodes of a stage, in the order of the chart. */
    public List<ChartNode> ofStage(String stage) {
        return nodes.stream()
                .filter(node -> node.stage().equalsIgnoreCase(stage))
                .toList();
    }

    /** Those of one kind among them. */
    public List<ChartNode> ofStage(String stage, NodeKind kind) {
        return ofStage(stage).stream().filter(node -> node.kind() == kind).toList();
    }

    /** The stages that have a name, in the order of the chart. */
    public List<String> stages() {
        Map<String, String> stages = new LinkedHashMap<>();
        nodes.stream()
                .map(ChartNode::stage)
                .filter(stage -> !stage.isBlank())
                .forEach(stage -> stages.putIfAbsent(ChartNode.key(stage), stage));
        return List.copyOf(stages.values());
    }
}
