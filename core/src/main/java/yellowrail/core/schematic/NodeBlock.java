package yellowrail.core.schematic;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Hangs;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.walk.NodeStanding;

/** A node of the supply on the rail, or nodes of which no more is known than their names. */
final class NodeBlock {

    static final int IN_A_COLUMN = 4;
    /** As high as they may begin. */
    static final double TOP = 34;

    /** Where the rail ends that does not feed it. */
    private static final double BREAK = 6;

    private static final double FED = 46;
    private static final double BLEEDER = 84;
    private static final double NODE = 104;
    private static final double WIDTH = 244;
    private static final double ALONE = 142;
    private static final double STEP = 46;
    /** Beside a node of the rail. */
    private static final int FITS = 15;
    /** Beside one that stands alone, and below what it is fed through. */
    private static final int FITS_ALONE = 12;

    private NodeBlock() {}

    /**
     * @param goesOn whether the rail comes from the node that feeds it
     * @param first whether the rail begins with it
     * @param live whether it stands at its full voltage while the standby switch is off
     */
    static Block supply(NodeStanding standing, boolean goesOn, boolean first, boolean live) {
        ChartNode node = standing.node();
        Sketch sketch = new Sketch(WIDTH);
        if (!first) {
            sketch.sign(Sign.GAP, FED - 12, 0).sign(Sign.GAP, FED + 12, 0);
        }
        node.feed().ifPresent(feed -> {
            sketch.turned(feed.choke() ? Sign.CHOKE : Sign.RESISTOR, FED, 0, 90);
            feed.through()
                    .map(Resistor::ohms)
                    .ifPresent(ohms ->
                            sketch.text(SchematicFinding.ofOhms(ohms), FED - 4, 24, Drawn.Anchor.MIDDLE, false));
            if (!goesOn) {
                sketch.sign(Sign.GAP, BREAK, 0)
                        .sign(Sign.LOOSE_END, BREAK + 12, 0)
                        .figure(from(feed.from()), 4, Levels.ABOVE_RAIL);
            }
        });
        node.toGround().ifPresent(bleeder -> bleeder(sketch, bleeder));
        node.bank()
                .ifPresent(bank -> sketch.capacitor(NODE, 0)
                        .figure(new SchematicFinding.RatedVolts(bank.ratedVolts()), NODE + 16, 60)
                        .figure(charged(live), NODE + 16, 76));
        feeds(node.hangs()).ifPresent(says -> sketch.figure(says, NODE + 16, 92));
        sketch.probe(Probed.of(standing), NODE, 0);
        named(sketch, Probed.of(standing), SchematicFinding.Called.within(FITS, node.label()), NODE + 14, 24);
        return sketch.block();
    }

    private static void bleeder(Sketch sketch, Resistor resistor) {
        sketch.wire(BLEEDER, 0, BLEEDER, 16)
                .sign(Sign.RESISTOR, BLEEDER, 32)
                .wire(BLEEDER, 48, BLEEDER, 56)
                .sign(Sign.GROUND, BLEEDER, 56)
                .text(SchematicFinding.ofOhms(resistor.ohms()), BLEEDER, 80, Drawn.Anchor.MIDDLE, false);
    }

    private static Optional<SchematicFinding> feeds(Hangs hangs) {
        return switch (hangs) {
            case NOTHING -> Optional.empty();
            case PLATES -> Optional.of(new SchematicFinding.FeedsPlates());
            case SCREENS -> Optional.of(new SchematicFinding.FeedsScreens());
            case STAGE -> Optional.of(new SchematicFinding.FeedsStage());
        };
    }

    /** What a capacitor does when the amp is not in use. */
    static SchematicFinding charged(boolean live) {
        return live ? new SchematicFinding.LiveInStandby() : new SchematicFinding.StaysCharged();
    }

    private static SchematicFinding from(String label) {
        return new SchematicFinding.From(
                label.length() <= FITS_ALONE ? label : label.substring(0, FITS_ALONE - 1) + "\u2026");
    }

    /** One below the other, from a level below the rail on. */
    static Block alone(List<Probed> points, double from) {
        Sketch sketch = new Sketch(ALONE);
        for (int i = 0; i < points.size(); i++) {
            double y = from + STEP * i;
            Probed point = points.get(i);
            SchematicFinding name = point.called() instanceof SchematicFinding.Called called
                    ? SchematicFinding.Called.within(FITS_ALONE, called.name())
                    : point.called();
            sketch.probe(point, 14, y);
            named(sketch, point, name, 32, y);
        }
        return sketch.apart();
    }

    /** A name and below it what was read, or what it should read. */
    static void named(Sketch sketch, Probed point, SchematicFinding name, double x, double y) {
        sketch.name(name, x, y).reading(point, Drawn.Figure.ALL, x, y + 16);
    }
}
