package yellowrail.core.schematic;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.ReadingKind;

/** What a cathode stands on: those of one test point on one resistor, under the first of them in the row. */
final class CathodeLines {

    private static final double AXIS = TubeBlock.AXIS;
    private static final double FROM = Levels.TUBE + TubeBlock.RADIUS;
    private static final double MIDDLE = 262;
    private static final double GROUND = MIDDLE + 24;
    private static final double POINT = MIDDLE - 16;

    private final AmpSheet sheet;
    private final List<Socket> row;
    private final int index;
    private final Socket socket;
    private final StagePoints points;

    /** @param row the sockets that stand side by side with it */
    CathodeLines(AmpSheet sheet, List<Socket> row, int index, StagePoints points) {
        this.sheet = sheet;
        this.row = row;
        this.index = index;
        this.socket = row.get(index);
        this.points = points;
    }

    void draw(Sketch sketch) {
        shared().forEach(point -> join(sketch, point));
        int[] sharers = sharers(socket.testPoint());
        double level = level(socket.testPoint());
        if (sharers[0] != index) {
            sketch.wire(AXIS, FROM, AXIS, level);
            return;
        }
        if (sharers.length > 1) {
            sketch.sign(Sign.JOINT, AXIS, level);
        }
        if (isDrawnBefore()) {
            sketch.wire(AXIS, FROM, AXIS, POINT);
            point(sketch);
        } else {
            stand(sketch);
        }
    }

    private void stand(Sketch sketch) {
        CurrentMethod method = sheet.current().method();
        if (method.liftsCathode() || sheet.bias().isCathode()) {
            sketch.wire(AXIS, FROM, AXIS, POINT)
                    .sign(Sign.RESISTOR, AXIS, MIDDLE)
                    .wire(AXIS, MIDDLE + 16, AXIS, GROUND);
            point(sketch);
            if (method.liftsCathode()) {
                sheet.current()
                        .ohms()
                        .ifPresent(ohms -> sketch.figure(new SchematicFinding.Ohms(ohms), AXIS + 12, MIDDLE + 18));
            }
        } else if (method == CurrentMethod.SOCKET_ADAPTER || method == CurrentMethod.PANEL_METER) {
            sketch.wire(AXIS, FROM, AXIS, MIDDLE - 10)
                    .sign(Sign.METER, AXIS, MIDDLE)
                    .wire(AXIS, MIDDLE + 10, AXIS, GROUND);
            read(sketch, MIDDLE);
        } else {
            sketch.wire(AXIS, FROM, AXIS, GROUND);
        }
        sketch.sign(Sign.GROUND, AXIS, GROUND);
    }

    private void read(Sketch sketch, double y) {
        points.draw(
                sketch,
                ReadingKind.SENSE_VOLTS,
                socket.testPoint(),
                AXIS,
                y,
                new StagePoints.Beside(AXIS + 14, GROUND + 10, 16));
    }

    private void point(Sketch sketch) {
        sketch.sign(Sign.TEST_POINT, AXIS, POINT);
        read(sketch, POINT);
        if (isDrawnBefore() || !socket.testPoint().equals(socket.label())) {
            sketch.name(SchematicFinding.Called.within(TubeBlock.NAME_FITS, socket.testPoint()), AXIS + 12, MIDDLE + 2);
        }
    }

    /** A test point whose resistor stands in a row above has the same name there. */
    private boolean isDrawnBefore() {
        return sheet.sockets().stream()
                .takeWhile(each -> !each.equals(row.get(0)))
                .anyMatch(each -> each.testPoint().equals(socket.testPoint()));
    }

    /** Test points of several tubes of the row. */
    private List<String> shared() {
        return row.stream()
                .map(Socket::testPoint)
                .distinct()
                .filter(point -> sharers(point).length > 1)
                .toList();
    }

    private int[] sharers(String point) {
        return IntStream.range(0, row.size())
                .filter(i -> row.get(i).testPoint().equals(point))
                .toArray();
    }

    private double level(String point) {
        return Levels.CATHODES + Levels.STEP * shared().indexOf(point);
    }

    /** The wire that joins the cathodes of a test point passes every tube between its first and its last. */
    private void join(Sketch sketch, String point) {
        int[] sharers = sharers(point);
        int first = sharers[0];
        int last = sharers[sharers.length - 1];
        if (index >= first && index <= last) {
            sketch.wire(index == first ? AXIS : 0, level(point), index == last ? AXIS : TubeBlock.WIDTH, level(point));
        }
    }
}
