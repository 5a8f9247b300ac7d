package yellowrail.core.schematic;

import java.util.List;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.ReadingKind;

/** The output transformer of a channel with its taps and what hangs on them. */
final class OutputBlock {

    private static final double WIDTH = 144;
    private static final double PRIMARY = 116;
    private static final double SECONDARY = 94;
    private static final double FEED = 136;
    private static final double SPEAKER = 24;
    private static final double MIDDLE = Levels.TAP;
    /** Where a resistor of the channel's own supply leaves the rail, and how far below it stands. */
    private static final double BRANCH = 30;

    private static final double BELOW_RAIL = 15;
    /** Words above the loop of the speaker, and below all of the transformer. */
    private static final double ABOVE = Levels.PUSH - 6;

    private static final double BELOW = Levels.PULL + 36;
    private static final double LINE = 18;
    private static final double WAY_LABEL = 3.2 * LINE;
    /** A name, and what stands after one. */
    private static final double NAME = 6;

    private static final double AFTER_NAME = 54;
    private static final int NAME_FITS = 5;
    private static final int SHORT_NAME_FITS = 4;
    /** Between the speaker and the secondary. */
    private static final int TAPS_FIT = 7;

    private final AmpSheet sheet;
    private final Screens screens;
    private final List<Socket> sockets;
    private final StagePoints points;
    private final Sketch sketch = new Sketch(WIDTH);

    private OutputBlock(AmpSheet sheet, Screens screens, List<Socket> sockets, StagePoints points) {
        this.sheet = sheet;
        this.screens = screens;
        this.sockets = sockets;
        this.points = points;
    }

    /** @param sockets of one channel */
    static Block of(AmpSheet sheet, Screens screens, List<Socket> sockets, StagePoints points) {
        OutputBlock block = new OutputBlock(sheet, screens, sockets, points);
        block.passing();
        block.primary();
        block.feed();
        block.speaker();
        block.halves();
        block.name();
        block.way();
        return block.sketch.block();
    }

    /** What goes past it: the screens' line, and the grids' from a channel on its left. */
    private void passing() {
        sketch.wire(0, Levels.SCREENS, WIDTH, Levels.SCREENS);
        boolean first = sockets.get(0).equals(sheet.sockets().get(0));
        if (!first && new GridLines(sheet).isOne()) {
            sketch.wire(0, Levels.BIAS, WIDTH, Levels.BIAS);
        }
    }

    private boolean isPushPull() {
        return sheet.topology() == Topology.PUSH_PULL;
    }

    private void primary() {
        for (Side half : List.of(Side.PUSH, Side.PULL)) {
            sketch.turned(Sign.HALF_WINDING, PRIMARY, Levels.screen(half), 180)
                    .sign(Sign.HALF_WINDING, SECONDARY, Levels.screen(half));
            boolean hasTubes = isPushPull() || half == Side.PULL;
            if (hasTubes) {
                sketch.wire(PRIMARY, Levels.plate(half), WIDTH, Levels.plate(half));
                if (screens == Screens.TAP) {
                    sketch.wire(PRIMARY, Levels.screen(half), WIDTH, Levels.screen(half));
                }
            }
        }
        sketch.sign(Sign.CORE, (PRIMARY + SECONDARY) / 2, MIDDLE);
        sheet.fittings()
                .loadOhms()
                .ifPresent(ohms -> sketch.text(
                        new SchematicFinding.Kilohms(ohms), PRIMARY - 8, Levels.PULL + 20, Drawn.Anchor.MIDDLE, false));
    }

    /**
     * From the rail to the primary; in a stereo amp read across a supply resistor, through one of the channel's own.
     */
    private void feed() {
        double end = isPushPull() ? MIDDLE : Levels.PUSH;
        boolean own = sheet.current().method() == CurrentMethod.SUPPLY_DROP && !SupplyBlock.hasDrop(sheet);
        if (!own) {
            sketch.sign(Sign.JOINT, FEED, 0).wire(PRIMARY, end, FEED, end, FEED, 0);
            return;
        }
        double middle = (BRANCH + FEED) / 2;
        sketch.sign(Sign.JOINT, BRANCH, 0)
                .wire(BRANCH, 0, BRANCH, BELOW_RAIL, middle - 16, BELOW_RAIL)
                .turned(Sign.RESISTOR, middle, BELOW_RAIL, 90)
                .wire(middle + 16, BELOW_RAIL, FEED, BELOW_RAIL, FEED, end, PRIMARY, end);
        sheet.current()
                .ohms()
                .ifPresent(ohms -> sketch.figure(new SchematicFinding.Ohms(ohms), AFTER_NAME - 12, ABOVE));
        String point = sockets.get(0).testPoint();
        sketch.name(SchematicFinding.Called.within(SHORT_NAME_FITS, point), NAME, ABOVE);
        sketch.sign(Sign.TEST_POINT, BRANCH + 18, BELOW_RAIL);
        points.draw(
                sketch,
                ReadingKind.SENSE_VOLTS,
                point,
                BRANCH + 18,
                BELOW_RAIL,
                StagePoints.Beside.line(BRANCH, Levels.ABOVE_RAIL));
    }

    private void way() {
        double end = isPushPull() ? MIDDLE : Levels.PUSH;
        sketch.way(0, 0, FEED, 0, FEED, end, PRIMARY, end, PRIMARY, Levels.PULL, WIDTH, Levels.PULL)
                .stop(OnTheWay.OUTPUT, PRIMARY, MIDDLE, NAME, BELOW + WAY_LABEL);
        if (isPushPull()) {
            sketch.way(PRIMARY, end, PRIMARY, Levels.PUSH, WIDTH, Levels.PUSH);
        }
        boolean last = sockets.get(sockets.size() - 1)
                .equals(sheet.sockets().get(sheet.sockets().size() - 1));
        if (!last) {
            sketch.way(FEED, 0, WIDTH, 0);
        }
    }

    private void speaker() {
        sketch.wire(SECONDARY, Levels.PUSH, SPEAKER, Levels.PUSH, SPEAKER, MIDDLE - 14)
                .wire(SECONDARY, Levels.PULL, SPEAKER, Levels.PULL, SPEAKER, MIDDLE + 14)
                .sign(Sign.SPEAKER, SPEAKER, MIDDLE);
        List<SchematicFinding> lines = taps();
        for (int i = 0; i < lines.size(); i++) {
            sketch.text(lines.get(i), SECONDARY - 10, MIDDLE - 4 + 16 * i, Drawn.Anchor.END, false);
        }
    }

    /** Two lines are what there is room for. */
    private List<SchematicFinding> taps() {
        List<Double> taps = sheet.fittings().iron().taps();
        return taps.size() <= 2
                ? taps.stream()
                        .<SchematicFinding>map(SchematicFinding.Ohms::new)
                        .toList()
                : List.of(
                        SchematicFinding.Called.within(
                                TAPS_FIT, taps.stream().map(Figures::plain).collect(Collectors.joining("/"))),
                        new SchematicFinding.Ohm());
    }

    /** The halves of the primary as meters, each with what was read across it. */
    private void halves() {
        if (sheet.current().method() != CurrentMethod.HALF_PRIMARY) {
            return;
        }
        for (Side side : Side.values()) {
            List<String> read = sockets.stream()
                    .filter(socket -> socket.side() == side)
                    .map(Socket::testPoint)
                    .distinct()
                    .toList();
            if (read.size() == 1) {
                double level = Levels.plate(side);
                double line = side == Side.PUSH ? BELOW : BELOW + LINE;
                sketch.name(SchematicFinding.Called.within(NAME_FITS, read.get(0)), NAME, line);
                sketch.sign(Sign.TEST_POINT, FEED + 6, level);
                points.draw(
                        sketch,
                        ReadingKind.SENSE_VOLTS,
                        read.get(0),
                        FEED + 6,
                        level,
                        StagePoints.Beside.line(AFTER_NAME, line));
            }
        }
    }

    private void name() {
        Channel channel = sockets.get(0).channel();
        if (channel != Channel.MONO) {
            sketch.name(
                    channel == Channel.LEFT ? new SchematicFinding.Left() : new SchematicFinding.Right(),
                    NAME,
                    BELOW + 2 * LINE);
        }
    }
}
