package yellowrail.core.schematic;

import java.util.List;
import java.util.stream.DoubleStream;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.chart.Point;

/** One mark of a drawing. */
public sealed interface Drawn {

    Drawn moved(double dx, double dy);

    /** How far below the rail its places lie. */
    DoubleStream levels();

    /**
     * A symbol.
     *
     * @param turn clockwise, degrees
     */
    record Symbol(Sign sign, Point at, int turn) implements Drawn {

        @Override
        public Symbol moved(double dx, double dy) {
            return new Symbol(sign, shifted(at, dx, dy), turn);
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.of(at.y());
        }
    }

    /**
     * A wire, from corner to corner.
     *
     * @param rail whether it is the rail itself
     */
    record Wire(List<Point> corners, boolean rail) implements Drawn {

        public Wire {
            corners = List.copyOf(corners);
        }

        @Override
        public Wire moved(double dx, double dy) {
            return new Wire(
                    corners.stream().map(corner -> shifted(corner, dx, dy)).toList(), rail);
        }

        @Override
        public DoubleStream levels() {
            return corners.stream().mapToDouble(Point::y);
        }
    }

    /** Where a text stands at its place. */
    enum Anchor {
        START,
        MIDDLE,
        END
    }

    /**
     * Words or a figure, one line.
     *
     * @param strong whether it is the name of something
     */
    record Text(SchematicFinding says, Point at, Anchor anchor, boolean strong) implements Drawn {

        @Override
        public Text moved(double dx, double dy) {
            return new Text(says, shifted(at, dx, dy), anchor, strong);
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.of(at.y());
        }
    }

    /**
     * Where a probe is put and a reading is entered.
     *
     * @param point as it was read, or not
     */
    record Probe(Probed point, Point at) implements Drawn {

        @Override
        public Probe moved(double dx, double dy) {
            return new Probe(point, shifted(at, dx, dy));
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.of(at.y());
        }
    }

    /** Which part of what was read at a point stands at a place. */
    enum Figure {
        VOLTS,
        HOW,
        /** Both in one line. */
        ALL
    }

    /** What was read at a point, in words beside it. */
    record Reading(Probed point, Figure figure, Point at) implements Drawn {

        @Override
        public Reading moved(double dx, double dy) {
            return new Reading(point, figure, shifted(at, dx, dy));
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.of(at.y());
        }
    }

    /**
     * A part that is touched to change it.
     *
     * @param part which
     * @param turn clockwise, degrees
     * @param says its value
     * @param label where that stands
     */
    record Touched(Part part, Sign sign, Point at, int turn, SchematicFinding says, Point label, Anchor anchor)
            implements Drawn {

        @Override
        public Touched moved(double dx, double dy) {
            return new Touched(part, sign, shifted(at, dx, dy), turn, says, shifted(label, dx, dy), anchor);
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.of(at.y(), label.y());
        }
    }

    /** A stretch of the way of the direct current; only where that is to be seen. */
    record Way(List<Point> corners) implements Drawn {

        public Way {
            corners = List.copyOf(corners);
        }

        @Override
        public Way moved(double dx, double dy) {
            return new Way(
                    corners.stream().map(corner -> shifted(corner, dx, dy)).toList());
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.empty();
        }
    }

    /**
     * A part on that way.
     *
     * @param label where two lines about it begin
     */
    record Stop(OnTheWay part, Point at, Point label) implements Drawn {

        @Override
        public Stop moved(double dx, double dy) {
            return new Stop(part, shifted(at, dx, dy), shifted(label, dx, dy));
        }

        @Override
        public DoubleStream levels() {
            return DoubleStream.of(at.y(), label.y() + 16);
        }
    }

    private static Point shifted(Point point, double dx, double dy) {
        return new Point(point.x() + dx, point.y() + dy);
    }
}
