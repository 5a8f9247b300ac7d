package yellowrail.core.schematic;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.chart.Point;
import yellowrail.core.reading.ReadingKind;

/** A power tube with what it hangs on and stands on. */
final class TubeBlock {

    static final double WIDTH = 142;
    static final double AXIS = 53;
    static final double RADIUS = 24;
    private static final double SCREEN = 130;
    private static final double GRID = 12;
    private static final double PLATE = Levels.TUBE - RADIUS;
    private static final double LOOSE = Levels.TUBE + 48;
    /** Left of a grid leak, where the cathode of the tube before it has nothing to say. */
    private static final double BESIDE_GRID = -12;
    /** Between a grid and a cathode. */
    private static final int FITS = 5;
    /** Between a cathode and the next grid. */
    static final int NAME_FITS = 7;

    private final AmpSheet sheet;
    private final Screens screens;
    private final List<Socket> row;
    private final int index;
    private final StagePoints points;

    private TubeBlock(AmpSheet sheet, Screens screens, List<Socket> row, int index, StagePoints points) {
        this.sheet = sheet;
        this.screens = screens;
        this.row = row;
        this.index = index;
        this.points = points;
    }

    /**
     * @param row the sockets of its channel that stand side by side with it, in their order
     * @param written what is written on the tube; blank for nothing
     * @param points what was read
     */
    static Block of(AmpSheet sheet, Screens screens, List<Socket> row, int index, String written, StagePoints points) {
        TubeBlock block = new TubeBlock(sheet, screens, row, index, points);
        CathodeLines cathodes = new CathodeLines(sheet, row, index, points);
        Sketch sketch = new Sketch(WIDTH);
        block.plate(sketch);
        block.screen(sketch);
        block.grid(sketch, Levels.BIAS + cathodes.below() + 18);
        cathodes.draw(sketch);
        block.names(sketch, written);
        block.way(sketch);
        return sketch.block();
    }

    private Socket socket() {
        return row.get(index);
    }

    private void plate(Sketch sketch) {
        Side side = socket().side();
        double level = Levels.plate(side);
        sketch.sign(screens == Screens.NONE ? Sign.POWER_TRIODE : Sign.POWER_TUBE, AXIS, Levels.TUBE)
                .wire(AXIS, PLATE, AXIS, level)
                .sign(Sign.valueOf(side.name()), AXIS, PLATE - 14);
        bus(sketch, Levels.PUSH, AXIS, Levels::plate);
        bus(sketch, Levels.PULL, AXIS, Levels::plate);
        if (sheet.current().method() == CurrentMethod.PLATE_ADAPTER) {
            double meter = Levels.PULL + 12;
            sketch.sign(Sign.METER, AXIS, meter);
            points.draw(
                    sketch,
                    ReadingKind.SENSE_VOLTS,
                    socket().testPoint(),
                    AXIS,
                    meter,
                    new StagePoints.Beside(new Point(AXIS + 14, meter + 3), Optional.of(new Point(2, meter + 3))));
        }
        points.draw(
                sketch,
                ReadingKind.PLATE,
                socket().label(),
                AXIS,
                PLATE,
                StagePoints.Beside.lines(AXIS + 12, PLATE - 4, PLATE - 20));
    }

    /** A line that passes the tubes as far as the last of the row that hangs on it. */
    private void bus(Sketch sketch, double level, double axis, ToDoubleFunction<Side> levels) {
        int last = lastAt(level, levels);
        lineEnd(level, axis, levels).ifPresent(end -> sketch.wire(0, level, end, level));
        if (index < last && levels.applyAsDouble(socket().side()) == level) {
            sketch.sign(Sign.JOINT, axis, level);
        }
    }

    /** Where a line at this level ends in this block; empty where it does not come here. */
    private OptionalDouble lineEnd(double level, double axis, ToDoubleFunction<Side> levels) {
        int last = lastAt(level, levels);
        return index <= last ? OptionalDouble.of(index == last ? axis : WIDTH) : OptionalDouble.empty();
    }

    /** The last of the row that hangs on this level; -1 for none. */
    private int lastAt(double level, ToDoubleFunction<Side> levels) {
        for (int i = row.size() - 1; i >= 0; i--) {
            if (levels.applyAsDouble(row.get(i).side()) == level) {
                return i;
            }
        }
        return -1;
    }

    private void way(Sketch sketch) {
        sketch.way(AXIS, Levels.plate(socket().side()), AXIS, PLATE)
                .stop(OnTheWay.TUBE, AXIS, Levels.TUBE, AXIS + 14, Levels.TUBE + 78);
        boolean another = sheet.sockets().get(sheet.sockets().size() - 1).channel() != socket().channel();
        if (another) {
            sketch.way(0, 0, WIDTH, 0);
        }
        for (Side side : List.of(Side.PUSH, Side.PULL)) {
            double level = Levels.plate(side);
            lineEnd(level, AXIS, Levels::plate).ifPresent(end -> sketch.way(0, level, end, level));
        }
    }

    /** Whatever the screens hang on, the line of their supply goes on to what is behind it. */
    private void screen(Sketch sketch) {
        sketch.wire(0, Levels.SCREENS, WIDTH, Levels.SCREENS);
        if (screens == Screens.NONE) {
            return;
        }
        sketch.wire(AXIS + RADIUS, Levels.TUBE, SCREEN, Levels.TUBE, SCREEN, Levels.TUBE - 20)
                .sign(Sign.RESISTOR, SCREEN, Levels.TUBE - 36);
        double end = Levels.TUBE - 52;
        switch (screens) {
            case TAP -> {
                sketch.wire(SCREEN, end, SCREEN, Levels.screen(socket().side()));
                bus(sketch, Levels.screen(Side.PUSH), SCREEN, Levels::screen);
                bus(sketch, Levels.screen(Side.PULL), SCREEN, Levels::screen);
            }
            case PLATE -> {
                double plate = Levels.PULL + 6;
                sketch.wire(SCREEN, end, SCREEN, plate, AXIS, plate).sign(Sign.JOINT, AXIS, plate);
            }
            default -> sketch.wire(SCREEN, end, SCREEN, Levels.SCREENS).sign(Sign.JOINT, SCREEN, Levels.SCREENS);
        }
    }

    /** @param free where what was read at it may stand */
    private void grid(Sketch sketch, double free) {
        sketch.wire(AXIS - RADIUS, Levels.TUBE, GRID, Levels.TUBE, GRID, Levels.TUBE + 12)
                .sign(Sign.RESISTOR, GRID, Levels.TUBE + 28);
        GridLines lines = new GridLines(sheet);
        if (sheet.bias().isCathode()) {
            sketch.wire(GRID, Levels.TUBE + 44, GRID, Levels.TUBE + 52).sign(Sign.GROUND, GRID, Levels.TUBE + 52);
        } else if (!lines.isOne()) {
            sketch.wire(GRID, Levels.TUBE + 44, GRID, LOOSE).sign(Sign.LOOSE_END, GRID, LOOSE);
            lines.of(socket())
                    .ifPresent(pot -> sketch.figure(SchematicFinding.Called.within(FITS, pot.name()), 2, LOOSE + 20));
        } else {
            sketch.wire(GRID, Levels.TUBE + 44, GRID, Levels.BIAS)
                    .wire(GRID, Levels.BIAS, WIDTH, Levels.BIAS)
                    .sign(Sign.JOINT, GRID, Levels.BIAS);
            if (!socket().equals(sheet.sockets().get(0))) {
                sketch.wire(0, Levels.BIAS, GRID, Levels.BIAS);
            }
        }
        boolean own = !lines.isOne();
        points.draw(
                sketch,
                ReadingKind.BIAS,
                socket().label(),
                GRID,
                own ? LOOSE : Levels.BIAS,
                StagePoints.Beside.lines(BESIDE_GRID, free, free + 16));
    }

    private void names(Sketch sketch, String written) {
        sketch.name(SchematicFinding.Called.within(NAME_FITS, socket().label()), AXIS + 12, Levels.TUBE + 42)
                .figure(
                        SchematicFinding.Called.within(NAME_FITS, written.isBlank() ? sheet.tubeType() : written),
                        AXIS + 12,
                        Levels.TUBE + 58)
                .text(side(), AXIS - 13, PLATE - 10, Drawn.Anchor.END, false);
    }

    private SchematicFinding side() {
        return switch (socket().side()) {
            case PUSH -> new SchematicFinding.Push();
            case PULL -> new SchematicFinding.Pull();
            case SINGLE -> new SchematicFinding.Single();
        };
    }
}
