package yellowrail.core.schematic;

import static yellowrail.core.schematic.BiasSketch.GROUND;
import static yellowrail.core.schematic.BiasSketch.HALF;
import static yellowrail.core.schematic.BiasSketch.LEAD;
import static yellowrail.core.schematic.BiasSketch.LINE;
import static yellowrail.core.schematic.BiasSketch.POT;
import static yellowrail.core.schematic.BiasSketch.STEP;

import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;

/**
 * A bias supply part by part: winding on the left, the supply line along the top, ground below, the network with its
 * pots where they stand, the grids on the right. Every part can be touched, every node says its volts.
 */
public final class BiasCircuitDrawing {

    /** The lower lead of a tapped winding. */
    private static final double LOWER = LINE + 194;

    private static final double WINDING = 44;
    /** From a capacitor to what comes after it: its value stands between. */
    private static final double APART = 152;

    private final BiasSupply supply;
    private final SteadyState state;
    private final BiasSketch parts = new BiasSketch();
    private final Sketch sketch = parts.marks();
    private double x = WINDING;

    private BiasCircuitDrawing(BiasSupply supply, SteadyState state) {
        this.supply = supply;
        this.state = state;
    }

    /** @param state what it settles to as the pots stand */
    public static Schematic of(BiasSupply supply, PotStand stand, SteadyState state) {
        BiasCircuitDrawing drawing = new BiasCircuitDrawing(supply, state);
        drawing.source();
        drawing.smoothing();
        new BiasNetworkDrawing(supply, stand, state, drawing.parts, drawing.x).draw();
        return new Schematic(drawing.parts.right() + LEAD, GROUND + LEAD, drawing.parts.drawn());
    }

    // Winding and rectifier

    private void source() {
        BiasSource source = supply.source();
        boolean full = source.rectification() == Rectification.FULL_WAVE;
        boolean bridge = source.rectification() == Rectification.BRIDGE;
        double middle = LINE + HALF + LEAD;
        parts.part(
                PartKind.WINDING,
                Sign.WINDING,
                x,
                middle,
                0,
                new SchematicFinding.Winding(source.volts()),
                x + 16,
                middle + 18,
                Drawn.Anchor.START);
        sketch.wire(x + LEAD, LINE, x, LINE, x, middle - LEAD);
        if (full) {
            double lower = middle + 2 * LEAD + 44;
            sketch.sign(Sign.WINDING, x, lower)
                    .wire(x, middle + LEAD, x, lower - LEAD)
                    .sign(Sign.JOINT, x, middle + LEAD + 22)
                    .wire(x, middle + LEAD + 22, x - 24, middle + LEAD + 22)
                    .sign(Sign.GROUND, x - 24, middle + LEAD + 22)
                    .wire(x, lower + LEAD, x, LOWER, x + LEAD, LOWER);
        } else if (!bridge) {
            parts.ground(x, middle + LEAD);
        }
        double from = x;
        x += LEAD;
        if (source.coupling().isPresent()) {
            horizontal(
                    PartKind.COUPLING,
                    Sign.CAPACITOR,
                    10,
                    new SchematicFinding.Farads(source.coupling().getAsDouble()));
        }
        if (supply.smoothing().seriesOhms() > 0) {
            horizontal(
                    PartKind.SERIES,
                    Sign.RESISTOR,
                    HALF,
                    SchematicFinding.ofOhms(supply.smoothing().seriesOhms()));
        }
        if (bridge) {
            bridge(from, middle + LEAD);
        } else {
            diode(full);
        }
    }

    private void diode(boolean full) {
        if (supply.source().coupling().isPresent()) {
            sketch.sign(Sign.JOINT, x, LINE).wire(x, LINE, x, LINE + 40).turned(Sign.DIODE, x, LINE + 50, 180);
            parts.ground(x, LINE + 60);
        }
        sketch.wire(x, LINE, x + LEAD, LINE)
                .turned(Sign.DIODE, x + LEAD + 10, LINE, -90)
                .wire(x + LEAD + 20, LINE, x + 2 * LEAD + 10, LINE);
        if (full) {
            sketch.wire(WINDING + LEAD, LOWER, x + LEAD, LOWER)
                    .turned(Sign.DIODE, x + LEAD + 10, LOWER, -90)
                    .wire(x + LEAD + 20, LOWER, x + 2 * LEAD + 10, LOWER, x + 2 * LEAD + 10, LINE);
        }
        x += 2 * LEAD + 10;
    }

    private void bridge(double from, double bottom) {
        double middle = LINE + 70;
        double centre = x + LEAD;
        sketch.wire(x, LINE, centre, LINE, centre, middle - 26)
                .sign(Sign.BRIDGE, centre, middle)
                .wire(centre, middle + 26, centre, bottom + 26, from, bottom + 26, from, bottom)
                .wire(centre - 26, middle, centre - 40, middle, centre - 40, GROUND - 40);
        parts.ground(centre - 40, GROUND - 40);
        sketch.wire(centre + 26, middle, centre + 44, middle, centre + 44, LINE);
        x = centre + 44;
    }

    // Along the supply line

    private void smoothing() {
        Smoothing smoothing = supply.smoothing();
        reservoir(
                PartKind.RESERVOIR,
                smoothing.reservoir(),
                smoothing.reservoirRating().orElse(0),
                Circuit.RESERVOIR);
        if (smoothing.feedOhms() > 0) {
            horizontal(PartKind.FEED, Sign.RESISTOR, HALF, SchematicFinding.ofOhms(smoothing.feedOhms()));
        }
        if (smoothing.second() > 0) {
            reservoir(
                    PartKind.SECOND,
                    smoothing.second(),
                    smoothing.secondRating().orElse(0),
                    smoothing.feedOhms() > 0 ? Circuit.SUPPLY : Circuit.RESERVOIR);
        }
    }

    /** A capacitor to ground, its positive end below. */
    private void reservoir(PartKind kind, double farads, double rating, String node) {
        double at = x + LEAD;
        double middle = POT;
        sketch.wire(x, LINE, at, LINE)
                .sign(Sign.JOINT, at, LINE)
                .wire(at, LINE, at, middle - 10)
                .text(new SchematicFinding.Plus(), at + 10, middle + 22, Drawn.Anchor.START, true)
                .text(new SchematicFinding.NodeVolts(-state.volts(node)), at, LINE - 14, Drawn.Anchor.MIDDLE, true);
        SchematicFinding says =
                rating > 0 ? new SchematicFinding.FaradsRated(farads, rating) : new SchematicFinding.Farads(farads);
        parts.part(kind, Sign.CAPACITOR, at, middle, 180, says, at + 16, middle - 10, Drawn.Anchor.START);
        parts.ground(at, middle + 10);
        x = at + APART;
        sketch.wire(at, LINE, x, LINE);
    }

    private void horizontal(PartKind kind, Sign sign, double half, SchematicFinding says) {
        double at = x + STEP / 2;
        sketch.wire(x, LINE, at - half, LINE).wire(at + half, LINE, x + STEP, LINE);
        parts.part(kind, sign, at, LINE, 90, says, at, LINE + 30, Drawn.Anchor.MIDDLE);
        x += STEP;
    }
}
