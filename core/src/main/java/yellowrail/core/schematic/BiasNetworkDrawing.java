package yellowrail.core.schematic;

import static yellowrail.core.schematic.BiasSketch.GROUND;
import static yellowrail.core.schematic.BiasSketch.HALF;
import static yellowrail.core.schematic.BiasSketch.LINE;
import static yellowrail.core.schematic.BiasSketch.POT;
import static yellowrail.core.schematic.BiasSketch.STEP;
import static yellowrail.core.schematic.BiasSketch.TRACK;

import java.util.stream.IntStream;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;

/** The network of a bias supply with its pots where they stand, down to ground, and the grids on its right. */
final class BiasNetworkDrawing {

    private static final double FIRST = 106;
    private static final double LAST = 264;

    private final BiasSupply supply;
    private final BiasNetwork network;
    private final PotStand stand;
    private final SteadyState state;
    private final BiasSketch parts;
    private final Sketch sketch;
    private double x;

    /** @param x where the supply line comes to */
    BiasNetworkDrawing(BiasSupply supply, PotStand stand, SteadyState state, BiasSketch parts, double x) {
        this.supply = supply;
        this.network = supply.network();
        this.stand = stand;
        this.state = state;
        this.parts = parts;
        this.sketch = parts.marks();
        this.x = x;
    }

    void draw() {
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
            parts.vertical(PartKind.UPPER, number, at, FIRST, network.upper());
            sketch.wire(at, FIRST + HALF, at, POT - TRACK);
        }
        double wiper = POT - TRACK + 2 * TRACK * stand.range();
        parts.track(PartKind.POT, number, at, POT, network.pot());
        parts.wiper(PartKind.WIPER, number, at, wiper);
        double tap = at + 46;
        sketch.wire(at + 30, wiper, tap, wiper);
        network.wiperToCold().ifPresent(ohms -> {
            double above = POT - TRACK - 12;
            sketch.wire(at, above, tap, above)
                    .sign(Sign.JOINT, at, above)
                    .wire(tap, above, tap, above + 2, tap, Math.max(above + 2, wiper));
            parts.part(
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
            parts.vertical(PartKind.LOWER, number, at, LAST, network.lower());
        }
        parts.ground(at, network.lower() > 0 ? LAST + HALF : GROUND);
    }

    private void fixed() {
        double node = upper();
        sketch.wire(x, node, x, LAST - HALF);
        if (network.lower() > 0) {
            parts.vertical(PartKind.LOWER, 0, x, LAST, network.lower());
            parts.ground(x, LAST + HALF);
        }
        grids(x, node, 0, network.upper() > 0 ? "node" : top());
    }

    /** @return the level of the node below it */
    private double upper() {
        if (!(network.upper() > 0)) {
            return LINE;
        }
        sketch.wire(x, LINE, x, FIRST - HALF);
        parts.vertical(PartKind.UPPER, 0, x, FIRST, network.upper());
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
            parts.vertical(PartKind.LOWER, 0, at, middle, network.lower());
            sketch.wire(at, middle + HALF, at, LAST - TRACK - 12);
        } else {
            sketch.wire(at, from, at, LAST - TRACK - 12);
        }
        if (!(network.pot() > 0)) {
            parts.ground(at, LAST - TRACK - 12);
            return;
        }
        double middle = LAST - 12;
        parts.track(PartKind.POT, 0, at, middle, network.pot());
        double wiper = middle + TRACK - 2 * TRACK * stand.range();
        parts.wiper(PartKind.WIPER, 0, at, wiper);
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
            parts.vertical(PartKind.UPPER, number, at, FIRST, network.upper());
            sketch.wire(at, FIRST + HALF, at, FIRST + HALF + 20).sign(Sign.JOINT, at, FIRST + HALF + 20);
        }
        double level = FIRST + HALF + 20;
        double middle = (x + second) / 2;
        sketch.wire(x, level, middle - TRACK, level).wire(middle + TRACK, level, second, level);
        parts.part(
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
        parts.part(
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
            parts.part(
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
        parts.reaches(end + 70);
    }
}
