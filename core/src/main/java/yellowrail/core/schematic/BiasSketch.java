package yellowrail.core.schematic;

import java.util.List;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.chart.Point;

/** A bias supply while it is being drawn: its parts with their values, its levels, how far to the right it reaches. */
final class BiasSketch {

    /** The supply line. */
    static final double LINE = 56;

    static final double GROUND = 300;
    static final double LEAD = 30;
    static final double STEP = 92;
    /** A resistor's half. */
    static final double HALF = 16;
    /** A track's half. */
    static final double TRACK = 32;

    static final double POT = 186;

    private final Sketch sketch = new Sketch(0);
    private double right;

    List<Drawn> drawn() {
        return sketch.drawn();
    }

    Sketch marks() {
        return sketch;
    }

    double right() {
        return right;
    }

    void reaches(double x) {
        right = Math.max(right, x);
    }

    void vertical(PartKind kind, int number, double at, double middle, double ohms) {
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

    void track(PartKind kind, int number, double at, double middle, double ohms) {
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

    void wiper(PartKind kind, int number, double at, double level) {
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
        reaches(at + 60);
    }

    void ground(double at, double from) {
        sketch.wire(at, from, at, from + 10).sign(Sign.GROUND, at, from + 10);
    }

    void part(
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

    void part(
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
