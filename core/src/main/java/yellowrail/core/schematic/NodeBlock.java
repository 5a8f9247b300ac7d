package yellowrail.core.schematic;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.walk.NodeStanding;

/** A node of the supply on the rail, or nodes of which no more is known than their names. */
final class NodeBlock {

    static final int IN_A_COLUMN = 4;

    private static final double FED = 46;
    private static final double NODE = 96;
    private static final double WIDTH = 236;
    private static final double ALONE = 136;
    private static final double STEP = 46;
    /** Beside a node of the rail. */
    private static final int FITS = 15;
    /** Beside one that stands alone, and below what it is fed through. */
    private static final int FITS_ALONE = 12;

    /** Below it volts are told with one more decimal. */
    private static final double SMALL = 10;

    private NodeBlock() {}

    /** @param goesOn whether the node that feeds it is the one the rail comes from */
    static Block supply(NodeStanding standing, boolean goesOn) {
        ChartNode node = standing.node();
        Sketch sketch = new Sketch(WIDTH);
        node.feed().ifPresent(feed -> {
            sketch.sign(Sign.GAP, FED - 12, 0).sign(Sign.GAP, FED + 12, 0);
            if (feed.choke()) {
                sketch.turned(Sign.CHOKE, FED, 0, 90);
            } else {
                sketch.turned(Sign.RESISTOR, FED, 0, 90);
            }
            feed.through()
                    .map(Resistor::ohms)
                    .ifPresent(
                            ohms -> sketch.text(SchematicFinding.ofOhms(ohms), FED, -16, Drawn.Anchor.MIDDLE, false));
            if (!goesOn) {
                sketch.text(from(feed.from()), FED, 26, Drawn.Anchor.MIDDLE, false);
            }
        });
        node.bank()
                .ifPresent(bank -> sketch.capacitor(NODE, 0)
                        .figure(new SchematicFinding.RatedVolts(bank.ratedVolts()), NODE + 16, 60));
        sketch.probe(standing, NODE, 0);
        named(sketch, standing, SchematicFinding.Called.within(FITS, node.label()), NODE + 14, 24);
        return sketch.block();
    }

    private static SchematicFinding from(String label) {
        return new SchematicFinding.From(
                label.length() <= FITS_ALONE ? label : label.substring(0, FITS_ALONE - 1) + "\u2026");
    }

    /** One below the other. */
    static Block alone(List<NodeStanding> nodes) {
        Sketch sketch = new Sketch(ALONE);
        for (int i = 0; i < nodes.size(); i++) {
            double y = 34 + STEP * i;
            NodeStanding standing = nodes.get(i);
            sketch.probe(standing, 14, y);
            named(
                    sketch,
                    standing,
                    SchematicFinding.Called.within(FITS_ALONE, standing.node().label()),
                    28,
                    y);
        }
        return sketch.apart();
    }

    /** A name and below it what was read, or what it should read. */
    static void named(Sketch sketch, NodeStanding standing, SchematicFinding name, double x, double y) {
        SchematicFinding volts = volts(standing);
        sketch.name(name, x, y)
                .figure(
                        how(standing)
                                .<SchematicFinding>map(how -> new SchematicFinding.VoltsAndHow(volts, how))
                                .orElse(volts),
                        x,
                        y + 16);
    }

    static SchematicFinding volts(NodeStanding standing) {
        if (standing.isRead()) {
            return Math.abs(standing.volts()) < SMALL
                    ? new SchematicFinding.SmallNodeVolts(standing.volts())
                    : new SchematicFinding.NodeVolts(standing.volts());
        }
        return standing.window()
                .<SchematicFinding>map(window -> new SchematicFinding.Wanted(window.middle()))
                .orElseGet(SchematicFinding.NoVolts::new);
    }

    /** A word to a reading that wants one. */
    static Optional<SchematicFinding> how(NodeStanding standing) {
        return switch (standing.verdict()) {
            case OVER_RATING -> Optional.of(new SchematicFinding.Over());
            case OUT_OF_FAMILY -> Optional.of(new SchematicFinding.Unlike());
            case HIGH -> Optional.of(new SchematicFinding.High());
            case LOW -> Optional.of(new SchematicFinding.Low());
            case PULSING -> Optional.of(new SchematicFinding.Pulses());
            default -> standing.freshness().isFresh() ? Optional.empty() : Optional.of(new SchematicFinding.Old());
        };
    }
}
