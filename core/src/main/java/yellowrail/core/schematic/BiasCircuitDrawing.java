package yellowrail.core.schematic;

import java.util.stream.IntStream;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.chart.Point;

/**
 * A bias supply part by part: winding on the left, the supply line along the top, ground below, the network with its
 * pots where they stand, the grids on the right. Every part can be touched, every node says its volts.
 */
public final class BiasCircuitDrawing {

    private static final double LINE = 56;
    private static final double GROUND = 300;
    /** The lower lead of a tapped winding. */
    private static final double LOWER = LINE + 194;

    private static final double WINDING = 44;
    private static final double LEAD = 30;
    private static final double STEP = 92;
    /** From a capacitor to what comes after it: its value stands between. */
    private static final double APART = 152;

    /** A resistor's half, a track's half. */
    private static final double HALF = 16;

    private static final double TRACK = 32;
    private static final double FIRST = 106;
    private static final double POT = 186;
    private static final double LAST = 264;

    private final BiasSupply supply;
    private final PotStand stand;
    private final SteadyState state;
    private final BiasNetwork network;
    private final Sketch sketch = new Sketch(0);
    private double x = WINDING;
    private double right;

    private BiasCircuitDrawing(BiasSupply supply, PotStand stand, SteadyState state) {
        this.supply = supply;
        this.stand = stand;
        this.state = state;
        this.network = supply.network();
    }

    /** @param state what it settles to as the pots stand */
    public static Schematic of(BiasSupply supply, PotStand stand, SteadyState state) {
        BiasCircuitDrawing drawing = new BiasCircuitDrawing(supply, stand, state);
        drawing.source();
        drawing.smoothing();
        drawing.network();
        return new Schematic(drawing.right + LEAD, GROUND + LEAD, drawing.sketch.drawn());
    }

    // Winding and rectifier

    private void source() {
        BiasSource source = supply.source();
        boolean full = source.rectification() == Rectification.FULL_WAVE;
        boolean bridge = source.rectification() == Rectification.BRIDGE;
        double middle = LINE + HALF + LEAD;
        part(
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
            ground(x, middle + LEAD);
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
            ground(x, LINE + 60);
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
        ground(centre - 40, GROUND - 40);
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
        part(kind, Sign.CAPACITOR, at, middle, 180, says, at + 16, middle - 10, Drawn.Anchor.START);
        ground(at, middle + 10);
        x = at + APART;
        sketch.wire(at, LINE, x, LINE);
    }

    private void horizontal(PartKind kind, Sign sign, double half, SchematicFinding says) {
        double at = x + STEP / 2;
        sketch.wire(x, LINE, at - half, LINE).wire(at + half, LINE, x + STEP, LINE);
        part(kind, sign, at, LINE, 90, says, at, LINE + 30, Drawn.Anchor.MIDDLE);
        x += STEP;
    }

    // The network

    private void network() {
        switch (network.kind()) {
            case DIVIDER_POT -> divider(x, 0);
            case POT_EACH -> {
                for (int number : IntStream.rangeClosed(1, network.pots()).toArray()) {
                    divider(x, number);
                    if (number < network.pots()) {
                        sketch.wire(x, LINE, x + 3 * STEP, LINE);
                        x += 3 * STEP;
                    }
                }
            }
            case FIXED -> fixed();
            case RHEOSTAT_SHUNT -> rheostat();
            case RANGE_AND_BALANCE -> balanced();
        }
    }

    private void divider(double at, int number) {
        sketch.wire(at, LINE, at, network.upper() > 0 ? FIRST - HALF : POT - TRACK);
        if (network.upper() > 0) {
            vertical(PartKind.UPPER, number, at, FIRST, network.upper());
            sketch.wire(at, FIRST + HALF, at, POT - TRACK);
        }
        double wiper = POT - TRACK + 2 * TRACK * stand.range();
        track(PartKind.POT, number, at, POT, network.pot());
        wiper(PartKind.WIPER, number, at, wiper);
        double tap = at + 46;
        sketch.wire(at + 30, wiper, tap, wiper);
        network.wiperToCold().ifPresent(ohms -> {
            double above = POT - TRACK - 12;
            sketch.wire(at, above, tap, above)
                    .sign(Sign.JOINT, at, above)
                    .wire(tap, above, tap, above + 2, tap, Math.max(above + 2, wiper));
            part(
                    PartKind.WIPER_TO_COLD,
                    number,
                    Sign.RESISTOR,
                    tap,
                    above,
                    90,
                    SchematicFinding.ofOhms(ohms),
                    tap + 22,
                    above - 8,
                    Drawn.Anchor.START);
        });
        lower(at, number);
        grids(tap, wiper, number, feed(number));
    }

    private String feed(int number) {
        return "wiper" + (number == 0 ? "" : number);
    }

    private void lower(double at, int number) {
        sketch.wire(at, POT + TRACK, at, network.lower() > 0 ? LAST - HALF : GROUND);
        if (network.lower() > 0) {
            vertical(PartKind.LOWER, number, at, LAST, network.lower());
        }
        ground(at, network.lower() > 0 ? LAST + HALF : GROUND);
    }

    private void fixed() {
        double node = upper();
        sketch.wire(x, node, x, LAST - HALF);
        if (network.lower() > 0) {
            vertical(PartKind.LOWER, 0, x, LAST, network.lower());
            ground(x, LAST + HALF);
        }
        grids(x, node, 0, network.upper() > 0 ? "node" : top());
    }

    /** @return the level of the node below it */
    private double upper() {
        if (!(network.upper() > 0)) {
            return LINE;
        }
        sketch.wire(x, LINE, x, FIRST - HALF);
        vertical(PartKind.UPPER, 0, x, FIRST, network.upper());
        sketch.wire(x, FIRST + HALF, x, FIRST + HALF + 8).sign(Sign.JOINT, x, FIRST + HALF + 8);
        return FIRST + HALF + 8;
    }

    private String top() {
        return supply.smoothing().feedOhms() > 0 ? Circuit.SUPPLY : Circuit.RESERVOIR;
    }

    private void rheostat() {
        double node = upper();
        grids(x, node, 0, network.upper() > 0 ? "node" : top());
        shunt(x, node);
    }

    /** A resistor, and a track of which the wiper leaves so much between it and ground. */
    private void shunt(double at, double from) {
        if (network.lower() > 0) {
            double middle = Math.max(from + HALF + 8, POT - 2 * TRACK + 12);
            sketch.wire(at, from, at, middle - HALF);
            vertical(PartKind.LOWER, 0, at, middle, network.lower());
            sketch.wire(at, middle + HALF, at, LAST - TRACK - 12);
        } else {
            sketch.wire(at, from, at, LAST - TRACK - 12);
        }
        if (!(network.pot() > 0)) {
            ground(at, LAST - TRACK - 12);
            return;
        }
        double middle = LAST - 12;
        track(PartKind.POT, 0, at, middle, network.pot());
        double wiper = middle + TRACK - 2 * TRACK * stand.range();
        wiper(PartKind.WIPER, 0, at, wiper);
        sketch.wire(at + 30, wiper, at + 40, wiper, at + 40, GROUND - 6).sign(Sign.GROUND, at + 40, GROUND - 6);
        if (network.tied()) {
            sketch.wire(at, middle + TRACK, at, GROUND - 6, at + 40, GROUND - 6).sign(Sign.JOINT, at + 40, GROUND - 6);
        }
    }

    private void balanced() {
        sketch.wire(x, LINE, x + STEP, LINE);
        x += STEP;
        double second = x + 2 * STEP;
        sketch.wire(x, LINE, second, LINE);
        for (int number = 1; number <= 2; number++) {
            double at = number == 1 ? x : second;
            sketch.wire(at, LINE, at, FIRST - HALF);
            vertical(PartKind.UPPER, number, at, FIRST, network.upper());
            sketch.wire(at, FIRST + HALF, at, FIRST + HALF + 20).sign(Sign.JOINT, at, FIRST + HALF + 20);
        }
        double level = FIRST + HALF + 20;
        double middle = (x + second) / 2;
        sketch.wire(x, level, middle - TRACK, level).wire(middle + TRACK, level, second, level);
        part(
                PartKind.BALANCE,
                Sign.TRACK,
                middle,
                level,
                90,
                SchematicFinding.ofOhms(network.balance()),
                middle,
                level - 16,
                Drawn.Anchor.MIDDLE);
        double tap = middle - TRACK + 2 * TRACK * stand.balance();
        part(
                PartKind.BALANCE_WIPER,
                Sign.WIPER,
                tap,
                level + 8,
                90,
                new SchematicFinding.Called(""),
                tap,
                level,
                Drawn.Anchor.MIDDLE);
        sketch.wire(tap, level + 32, tap, level + 36, middle, level + 36);
        grids(second, level, 2, "second");
        grids(x - 26, level, 1, "first");
        sketch.wire(x, level, x - 26, level);
        shunt(middle, level + 36);
    }

    /** From the network through the leak to the grids, on the right; their volts beside. */
    private void grids(double from, double level, int number, String feed) {
        boolean left = number == 1 && network.kind() == BiasNetwork.Kind.RANGE_AND_BALANCE;
        String grid = "grid" + (number == 0 ? "" : number);
        if (left) {
            sketch.sign(Sign.LOOSE_END, from, level)
                    .text(
                            new SchematicFinding.NodeVolts(-state.volts(feed)),
                            from - 6,
                            level + 24,
                            Drawn.Anchor.END,
                            true);
            return;
        }
        double end = from + 30;
        if (supply.leak() > 0) {
            sketch.wire(from, level, end, level);
            double middle = end + HALF;
            part(
                    PartKind.LEAK,
                    number,
                    Sign.RESISTOR,
                    middle,
                    level,
                    90,
                    SchematicFinding.ofOhms(supply.leak()),
                    middle,
                    level + 26,
                    Drawn.Anchor.MIDDLE);
            end += 2 * HALF + 22;
            sketch.wire(middle + HALF, level, end, level);
        } else {
            sketch.wire(from, level, end, level);
        }
        sketch.sign(Sign.LOOSE_END, end, level)
                .text(
                        new SchematicFinding.NodeVolts(-state.volts(supply.leak() > 0 ? grid : feed)),
                        end + 10,
                        level + 6,
                        Drawn.Anchor.START,
                        true)
                .text(new SchematicFinding.Grids(), end + 10, level - 14, Drawn.Anchor.START, false);
        right = Math.max(right, end + 70);
    }

    // Signs

    private void vertical(PartKind kind, int number, double at, double middle, double ohms) {
        part(
                kind,
                number,
                Sign.RESISTOR,
                at,
                middle,
                0,
                SchematicFinding.ofOhms(ohms),
                at - 12,
                middle + 6,
                Drawn.Anchor.END);
    }

    private void track(PartKind kind, int number, double at, double middle, double ohms) {
        part(
                kind,
                number,
                Sign.TRACK,
                at,
                middle,
                0,
                SchematicFinding.ofOhms(ohms),
                at - 14,
                middle + 6,
                Drawn.Anchor.END);
    }

    private void wiper(PartKind kind, int number, double at, double level) {
        part(
                kind,
                number,
                Sign.WIPER,
                at + 6,
                level,
                0,
                new SchematicFinding.Called(""),
                at + 30,
                level,
                Drawn.Anchor.START);
        right = Math.max(right, at + 60);
    }

    private void ground(double at, double from) {
        sketch.wire(at, from, at, from + 10).sign(Sign.GROUND, at, from + 10);
    }

    private void part(
            PartKind kind,
            Sign sign,
            double at,
            double level,
            int turn,
            SchematicFinding says,
            double labelX,
            double labelY,
            Drawn.Anchor anchor) {
        part(kind, 0, sign, at, level, turn, says, labelX, labelY, anchor);
    }

    private void part(
            PartKind kind,
            int number,
            Sign sign,
            double at,
            double level,
            int turn,
            SchematicFinding says,
            double labelX,
            double labelY,
            Drawn.Anchor anchor) {
        sketch.part(new Part(kind, number), sign, new Point(at, level), turn, says, new Point(labelX, labelY), anchor);
    }
}
