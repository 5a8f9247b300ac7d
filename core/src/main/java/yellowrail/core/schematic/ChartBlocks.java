package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.walk.ChartCheck;

/**
 * The blocks of a voltage chart, in the order in which they hang from the rail: each supply node with what is fed from
 * it, then the supply behind it; last what hangs nowhere.
 */
final class ChartBlocks {

    private final ChartCheck check;
    private final List<Block> blocks = new ArrayList<>();
    private final Set<ChartNode> drawn = Collections.newSetFromMap(new IdentityHashMap<>());
    private Optional<ChartNode> rail = Optional.empty();

    private ChartBlocks(ChartCheck check) {
        this.check = check;
    }

    static List<Block> of(ChartCheck check) {
        ChartBlocks all = new ChartBlocks(check);
        List<ChartNode> nodes = check.chart().nodes();
        nodes.stream()
                .filter(node -> node.kind() == NodeKind.SUPPLY && node.feed().isEmpty())
                .forEach(all::supply);
        nodes.stream().filter(node -> node.kind() == NodeKind.SUPPLY).forEach(all::supply);
        List<ChartNode> left =
                nodes.stream().filter(node -> !all.drawn.contains(node)).toList();
        left.stream().filter(node -> isOfATube(node) && !node.stage().isBlank()).forEach(all::stage);
        all.alone(left.stream().filter(node -> !all.drawn.contains(node)).toList());
        return all.blocks;
    }

    private void supply(ChartNode node) {
        if (!drawn.add(node)) {
            return;
        }
        boolean live = node.feed().isEmpty() && check.sheet().supply().isLiveInStandby();
        boolean goesOn = check.chart().feeder(node).equals(rail);
        blocks.add(NodeBlock.supply(check.of(node), goesOn, blocks.isEmpty(), live));
        rail = Optional.of(node);
        List<ChartNode> fed = check.chart().fedFrom(node);
        fed.stream().filter(ChartBlocks::isOfATube).forEach(this::stage);
        alone(fed.stream()
                .filter(each -> each.kind() != NodeKind.SUPPLY && !drawn.contains(each))
                .toList());
        fed.stream().filter(each -> each.kind() == NodeKind.SUPPLY).forEach(this::supply);
    }

    private static boolean isOfATube(ChartNode node) {
        return node.kind() == NodeKind.PLATE || node.kind() == NodeKind.CATHODE || node.kind() == NodeKind.GRID;
    }

    private void stage(ChartNode node) {
        if (drawn.contains(node)) {
            return;
        }
        List<ChartNode> nodes =
                node.stage().isBlank() ? List.of(node) : check.chart().ofStage(node.stage());
        StageBlock stage = new StageBlock(
                check, nodes.stream().filter(each -> !drawn.contains(each)).toList());
        drawn.addAll(stage.nodes());
        blocks.add(stage.block());
    }

    private void alone(List<ChartNode> nodes) {
        for (int i = 0; i < nodes.size(); i += NodeBlock.IN_A_COLUMN) {
            List<ChartNode> column = nodes.subList(i, Math.min(nodes.size(), i + NodeBlock.IN_A_COLUMN));
            blocks.add(NodeBlock.alone(
                    column.stream().map(check::of).map(Probed::of).toList(), NodeBlock.TOP));
            drawn.addAll(column);
        }
    }
}
