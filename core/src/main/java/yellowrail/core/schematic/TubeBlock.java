package yellowrail.core.schematic;

import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.ReadingKind;

/** A power tube with what it hangs on and stands on. */
final class TubeBlock {

    static final double WIDTH = 128;
    static final double AXIS = 46;
    private static final double SCREEN = 112;
    private static final double GRID = 12;
    static final double RADIUS = 24;
    private static final double LOOSE = Levels.TUBE + 48;
    /** Between a grid and a cathode. */
    private static final int FITS = 5;
    /** Between a cathode and the next grid. */
    static final int NAME_FITS = 7;

    private final AmpSheet sheet;
    private final List<Socket> row;
    private final int index;
    private final String written;
    private final StagePoints points;

    private TubeBlock(AmpSheet sheet, List<Socket> row, int index, String written, StagePoints points) {
        this.sheet = sheet;
        this.row = row;
        this.index = index;
        this.written = written;
        this.points = points;
    }

    /**
     * @param row the sockets of its channel that stand side by side with it, in their order
     * @param written what is written on the tube; blank for nothing
     * @param points what was read
     */
    static Block of(AmpSheet sheet, List<Socket> row, int index, String written, StagePoints points) {
        TubeBlock block = new TubeBlock(sheet, row, index, written, points);
        Sketch sketch = new Sketch(WIDTH);
        block.plate(sketch);
        block.screen(sketch);
        block.grid(sketch);
        new CathodeLines(sheet, row, index, points).draw(sketch);
        block.names(sketch);
        points.draw(
                sketch,
                ReadingKind.PLATE,
                block.socket().label(),
                AXIS,
                Levels.TUBE - RADIUS,
                new StagePoints.Beside(AXIS + 12, Levels.TUBE - RADIUS - 4, -15));
        return sketch.block();
    }

    private Socket socket() {
        return row.get(index);
    }

    private void plate(Sketch sketch) {
        double level = level(socket().side());
        sketch.sign(Sign.POWER_TUBE, AXIS, Levels.TUBE)
                .wire(AXIS, Levels.TUBE - RADIUS, AXIS, level)
                .sign(Sign.valueOf(socket().side().name()), AXIS, Levels.TUBE - RADIUS - 18);
        for (double bus : new double[] {Levels.PUSH, Levels.PULL}) {
            int last = lastAt(bus);
            if (index <= last) {
                sketch.wire(0, bus, index == last ? AXIS : WIDTH, bus);
            }
        }
        if (index < lastAt(level)) {
            sketch.sign(Sign.JOINT, AXIS, level);
        }
        if (sheet.current().method() == CurrentMethod.PLATE_ADAPTER) {
            sketch.sign(Sign.METER, AXIS, level + 12);
        }
    }

    private static double level(Side side) {
        return side == Side.PUSH ? Levels.PUSH : Levels.PULL;
    }

    /** The last of the row that hangs on this level; -1 for none. */
    private int lastAt(double level) {
        for (int i = row.size() - 1; i >= 0; i--) {
            if (level(row.get(i).side()) == level) {
                return i;
            }
        }
        return -1;
    }

    private void screen(Sketch sketch) {
        sketch.wire(AXIS + RADIUS, Levels.TUBE, SCREEN, Levels.TUBE, SCREEN, Levels.TUBE - 20)
                .sign(Sign.RESISTOR, SCREEN, Levels.TUBE - 36)
                .wire(SCREEN, Levels.TUBE - 52, SCREEN, Levels.SCREENS)
                .sign(Sign.JOINT, SCREEN, Levels.SCREENS)
                .wire(0, Levels.SCREENS, WIDTH, Levels.SCREENS);
    }

    private void grid(Sketch sketch) {
        sketch.wire(AXIS - RADIUS, Levels.TUBE, GRID, Levels.TUBE, GRID, Levels.TUBE + 12)
                .sign(Sign.RESISTOR, GRID, Levels.TUBE + 28);
        GridLines lines = new GridLines(sheet);
        if (sheet.bias().isCathode()) {
            sketch.wire(GRID, Levels.TUBE + 44, GRID, Levels.TUBE + 52).sign(Sign.GROUND, GRID, Levels.TUBE + 52);
        } else if (!lines.isOne()) {
            sketch.wire(GRID, Levels.TUBE + 44, GRID, LOOSE).sign(Sign.LOOSE_END, GRID, LOOSE);
            lines.of(socket())
                    .ifPresent(pot -> sketch.figure(SchematicFinding.Called.within(FITS, pot.name()), 2, LOOSE + 15));
        } else {
            sketch.wire(GRID, Levels.TUBE + 44, GRID, Levels.BIAS)
                    .wire(GRID, Levels.BIAS, WIDTH, Levels.BIAS)
                    .sign(Sign.JOINT, GRID, Levels.BIAS);
            if (!socket().equals(sheet.sockets().get(0))) {
                sketch.wire(0, Levels.BIAS, GRID, Levels.BIAS);
            }
        }
    }

    private void names(Sketch sketch) {
        sketch.name(SchematicFinding.Called.within(NAME_FITS, socket().label()), AXIS + 8, Levels.TUBE + 42)
                .figure(
                        SchematicFinding.Called.within(NAME_FITS, written.isBlank() ? sheet.tubeType() : written),
                        AXIS + 8,
                        Levels.TUBE + 58)
                .text(side(), AXIS - 13, Levels.TUBE - RADIUS - 14, Drawn.Anchor.END, false);
    }

    private SchematicFinding side() {
        return switch (socket().side()) {
            case PUSH -> new SchematicFinding.Push();
            case PULL -> new SchematicFinding.Pull();
            case SINGLE -> new SchematicFinding.Single();
        };
    }
}
