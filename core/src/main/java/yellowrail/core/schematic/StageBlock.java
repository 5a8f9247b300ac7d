package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.walk.ChartCheck;
import yellowrail.core.walk.NodeStanding;

/** A stage of one triode or more: plates hang from the rail by their resistors, cathodes stand on theirs. */
final class StageBlock {

    /** Left of the axis: what a grid and its reading take, or nothing. */
    private static final double WITH_GRID = 78;

    private static final double WITHOUT_GRID = 24;
    /** Right of it: a name, and a reading with a word to it. */
    private static final double RIGHT = 116;

    private static final double PLATE = 70;
    private static final double TUBE = 110;
    private static final double RADIUS = 20;
    /** Above the name of the first one. */
    private static final double JOINED = 134;

    private static final double CATHODE = 150;
    private static final double GROUND = 206;
    private static final double GRID = 12;
    private static final int FITS = 8;

    private final ChartCheck check;
    private final List<ChartNode> plates;
    private final List<ChartNode> cathodes;
    private final List<ChartNode> grids;
    private final String name;
    private final double left;

    /** @param nodes of one stage, at least one of them a plate, a cathode or a grid */
    StageBlock(ChartCheck check, List<ChartNode> nodes) {
        this.check = check;
        this.plates = of(nodes, NodeKind.PLATE);
        this.cathodes = of(nodes, NodeKind.CATHODE);
        this.grids = of(nodes, NodeKind.GRID);
        this.left = grids.isEmpty() ? WITHOUT_GRID : WITH_GRID;
        ChartNode first = nodes.get(0);
        this.name = first.stage().isBlank() ? first.label() : first.stage();
    }

    private static List<ChartNode> of(List<ChartNode> nodes, NodeKind kind) {
        return nodes.stream().filter(node -> node.kind() == kind).toList();
    }

    /** What is drawn in it. */
    List<ChartNode> nodes() {
        List<ChartNode> nodes = new ArrayList<>(plates);
        nodes.addAll(cathodes);
        nodes.addAll(grids);
        return nodes;
    }

    Block block() {
        int tubes = Math.max(1, Math.max(plates.size(), Math.max(cathodes.size(), grids.size())));
        Sketch sketch = new Sketch((left + RIGHT) * tubes);
        for (int i = 0; i < tubes; i++) {
            tube(sketch, i, (left + RIGHT) * i + left);
        }
        return sketch.block();
    }

    private void tube(Sketch sketch, int i, double axis) {
        sketch.sign(Sign.TRIODE, axis, TUBE)
                .name(SchematicFinding.Called.within(FITS, name), axis + RADIUS + 6, TUBE + 5);
        plate(sketch, at(plates, i), axis);
        cathode(sketch, i, axis);
        at(grids, i).ifPresent(grid -> {
            double x = axis - left + GRID;
            Probed point = Probed.of(grid);
            sketch.wire(axis - RADIUS, TUBE, x, TUBE)
                    .probe(point, x, TUBE)
                    .name(kind(grid), x - 8, TUBE - 12)
                    .reading(point, Drawn.Figure.VOLTS, x - 8, TUBE + 20)
                    .reading(point, Drawn.Figure.HOW, x - 8, TUBE + 36);
        });
    }

    private Optional<NodeStanding> at(List<ChartNode> nodes, int i) {
        return i < nodes.size() ? Optional.of(check.of(nodes.get(i))) : Optional.empty();
    }

    private static SchematicFinding kind(NodeStanding standing) {
        return new SchematicFinding.OfKind(standing.node().kind());
    }

    private static void plate(Sketch sketch, Optional<NodeStanding> plate, double axis) {
        Optional<Resistor> load = plate.flatMap(found -> found.node().feed()).flatMap(Feed::through);
        if (load.isPresent()) {
            sketch.wire(axis, 0, axis, 16)
                    .sign(Sign.RESISTOR, axis, 32)
                    .wire(axis, 48, axis, TUBE - RADIUS)
                    .figure(SchematicFinding.ofOhms(load.get().ohms()), axis + 10, 36);
        } else {
            sketch.wire(axis, plate.isPresent() ? PLATE : 0, axis, TUBE - RADIUS);
        }
        plate.ifPresent(found -> {
            sketch.probe(Probed.of(found), axis, PLATE);
            NodeBlock.named(sketch, Probed.of(found), kind(found), axis + 14, PLATE - 8);
        });
    }

    /** Tubes of one stage whose cathodes are one node stand on the resistor of the first. */
    private void cathode(Sketch sketch, int i, double axis) {
        if (i >= cathodes.size() && i > 0 && !cathodes.isEmpty()) {
            sketch.wire(axis, TUBE + RADIUS, axis, JOINED, axis - left - RIGHT, JOINED);
            return;
        }
        sketch.wire(axis, TUBE + RADIUS, axis, GROUND - 40)
                .sign(Sign.RESISTOR, axis, GROUND - 24)
                .wire(axis, GROUND - 8, axis, GROUND)
                .sign(Sign.GROUND, axis, GROUND);
        at(cathodes, i).ifPresent(found -> {
            found.node()
                    .toGround()
                    .ifPresent(
                            resistor -> sketch.figure(SchematicFinding.ofOhms(resistor.ohms()), axis + 10, GROUND - 8));
            sketch.probe(Probed.of(found), axis, CATHODE);
            NodeBlock.named(sketch, Probed.of(found), kind(found), axis + 14, CATHODE - 2);
        });
    }
}
