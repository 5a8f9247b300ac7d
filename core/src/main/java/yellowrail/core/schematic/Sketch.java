package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.chart.Point;

/**
 * A block while it is being drawn: what hangs from a stretch of the rail, x from its left edge, y down from the rail.
 */
final class Sketch {

    private final double width;
    private final List<Drawn> drawn = new ArrayList<>();

    /** @param width how much of the rail it takes */
    Sketch(double width) {
        this.width = width;
    }

    /** @param coordinates x and y of each corner in turn */
    Sketch wire(double... coordinates) {
        drawn.add(new Drawn.Wire(corners(coordinates), false));
        return this;
    }

    private static List<Point> corners(double... coordinates) {
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < coordinates.length; i += 2) {
            corners.add(new Point(coordinates[i], coordinates[i + 1]));
        }
        return corners;
    }

    /** Where the direct current runs, corner by corner. */
    Sketch way(double... coordinates) {
        drawn.add(new Drawn.Way(corners(coordinates)));
        return this;
    }

    Sketch stop(OnTheWay part, double x, double y, double labelX, double labelY) {
        drawn.add(new Drawn.Stop(part, new Point(x, y), new Point(labelX, labelY)));
        return this;
    }

    Sketch sign(Sign sign, double x, double y) {
        return turned(sign, x, y, 0);
    }

    Sketch turned(Sign sign, double x, double y, int turn) {
        drawn.add(new Drawn.Symbol(sign, new Point(x, y), turn));
        return this;
    }

    Sketch name(SchematicFinding says, double x, double y) {
        return text(says, x, y, Drawn.Anchor.START, true);
    }

    Sketch figure(SchematicFinding says, double x, double y) {
        return text(says, x, y, Drawn.Anchor.START, false);
    }

    Sketch text(SchematicFinding says, double x, double y, Drawn.Anchor anchor, boolean strong) {
        drawn.add(new Drawn.Text(says, new Point(x, y), anchor, strong));
        return this;
    }

    Sketch probe(Probed point, double x, double y) {
        drawn.add(new Drawn.Probe(point, new Point(x, y)));
        return this;
    }

    Sketch reading(Probed point, Drawn.Figure figure, double x, double y) {
        drawn.add(new Drawn.Reading(point, figure, new Point(x, y)));
        return this;
    }

    /** A part that is touched, its value beside it. */
    Sketch part(Part part, Sign sign, Point at, int turn, SchematicFinding says, Point label, Drawn.Anchor anchor) {
        drawn.add(new Drawn.Touched(part, sign, at, turn, says, label, anchor));
        return this;
    }

    List<Drawn> drawn() {
        return List.copyOf(drawn);
    }

    /** A capacitor from a place down to ground. */
    Sketch capacitor(double x, double from) {
        return wire(x, from, x, from + 22)
                .sign(Sign.CAPACITOR, x, from + 32)
                .wire(x, from + 42, x, from + 52)
                .sign(Sign.GROUND, x, from + 52);
    }

    Block block() {
        return new Block(width, true, drawn);
    }

    /** It does not hang from the rail itself. */
    Block apart() {
        return new Block(width, false, drawn);
    }
}
