package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.ReadingKind;

/**
 * What a cathode stands on: first what its current is read with, then the resistor that biases it, where there is one.
 * What several tubes of a row share stands under the first of them.
 */
final class CathodeLines {

    private static final double AXIS = TubeBlock.AXIS;
    private static final double BESIDE = AXIS + 14;
    private static final double FROM = Levels.TUBE + TubeBlock.RADIUS;
    /** From where cathodes are joined to the middle of what they share. */
    private static final double MIDDLE = 26;

    private static final double GROUND = 24;
    /** Down to the next layer, below what is written beside this one. */
    private static final double DEEP = 86;

    private static final String BIAS_RESISTOR = "Rk";

    private final AmpSheet sheet;
    private final List<Socket> row;
    private final int index;
    private final Socket socket;
    private final StagePoints points;

    /**
     * Things of one kind that cathodes stand on.
     *
     * @param read whether the current is read there
     * @param sharers what sockets have in common that stand on the same one
     */
    private record Layer(Sign sign, boolean read, Function<Socket, String> sharers) {

        double half() {
            return sign == Sign.METER ? 10 : 16;
        }
    }

    /** @param row the sockets that stand side by side with it */
    CathodeLines(AmpSheet sheet, List<Socket> row, int index, StagePoints points) {
        this.sheet = sheet;
        this.row = row;
        this.index = index;
        this.socket = row.get(index);
        this.points = points;
    }

    private static List<Layer> layers(AmpSheet sheet) {
        List<Layer> layers = new ArrayList<>();
        CurrentMethod method = sheet.current().method();
        if (method == CurrentMethod.SOCKET_ADAPTER || method == CurrentMethod.PANEL_METER) {
            layers.add(new Layer(Sign.METER, true, Socket::testPoint));
        } else if (method.liftsCathode()) {
            layers.add(new Layer(Sign.RESISTOR, true, Socket::testPoint));
        }
        if (sheet.bias().isCathode() && method != CurrentMethod.CATHODE_RESISTOR) {
            layers.add(new Layer(
                    Sign.RESISTOR,
                    false,
                    sheet.bias() == BiasKind.CATHODE_SHARED
                            ? each -> each.channel().name()
                            : Socket::label));
        }
        return layers;
    }

    /** How far below the line of the grids the row is free again. */
    double below() {
        List<Layer> layers = layers(sheet);
        int joined = layers.isEmpty() ? 0 : shared(layers.get(0), all()).size();
        return joined == 0 ? 0 : Levels.CATHODES - Levels.BIAS + Levels.STEP * (joined - 1);
    }

    private List<Integer> all() {
        return IntStream.range(0, row.size()).boxed().toList();
    }

    void draw(Sketch sketch) {
        List<Integer> standing = all();
        double from = FROM;
        double top = Levels.CATHODES;
        for (Layer layer : layers(sheet)) {
            List<String> shared = shared(layer, standing);
            for (int i = 0; i < shared.size(); i++) {
                join(sketch, sharers(layer, shared.get(i), standing), top + Levels.STEP * i);
            }
            if (standing.contains(index)) {
                double join = top + Levels.STEP * shared.indexOf(layer.sharers().apply(socket));
                from = stand(sketch, layer, from, top, join, standing);
            }
            standing = standing.stream().filter(i -> goesOn(layer, i)).toList();
            top += DEEP;
        }
        if (standing.contains(index)) {
            double ground = Math.max(top - DEEP, Levels.CATHODES) + MIDDLE + GROUND;
            sketch.wire(AXIS, from, AXIS, ground)
                    .sign(Sign.GROUND, AXIS, ground)
                    .way(AXIS, FROM, AXIS, ground);
        }
    }

    /** From the end of what stands above it; where what it stands on ends. */
    private double stand(Sketch sketch, Layer layer, double from, double top, double join, List<Integer> standing) {
        int[] sharers = sharers(layer, layer.sharers().apply(socket), standing);
        if (sharers[0] != index) {
            sketch.wire(AXIS, from, AXIS, join).way(AXIS, from, AXIS, join);
            return join;
        }
        if (sharers.length > 1) {
            sketch.sign(Sign.JOINT, AXIS, join);
        }
        double middle = top + MIDDLE;
        if (isDrawnBefore(layer, index)) {
            sketch.wire(AXIS, from, AXIS, middle - layer.half());
            goesOnElsewhere(sketch, layer, middle);
        } else {
            sketch.wire(AXIS, from, AXIS, middle - layer.half()).sign(layer.sign(), AXIS, middle);
            beside(sketch, layer, middle);
            if (layer.sign() == Sign.RESISTOR && (!layer.read() || sheet.bias().isCathode())) {
                sketch.stop(OnTheWay.RESISTOR, AXIS, middle, BESIDE + 14, middle + 34);
            }
        }
        return middle + layer.half();
    }

    private void goesOnElsewhere(Sketch sketch, Layer layer, double middle) {
        sketch.sign(layer.read() ? Sign.TEST_POINT : Sign.LOOSE_END, AXIS, middle - layer.half())
                .name(
                        layer.read()
                                ? SchematicFinding.Called.within(TubeBlock.NAME_FITS, socket.testPoint())
                                : new SchematicFinding.Called(BIAS_RESISTOR),
                        BESIDE,
                        middle + 2);
    }

    private void beside(Sketch sketch, Layer layer, double middle) {
        if (!layer.read()) {
            sketch.name(new SchematicFinding.Called(BIAS_RESISTOR), BESIDE, middle + 2);
            return;
        }
        boolean meter = layer.sign() == Sign.METER;
        double point = meter ? middle : middle - layer.half();
        if (!meter) {
            sketch.sign(Sign.TEST_POINT, AXIS, point);
            sheet.current()
                    .ohms()
                    .ifPresent(ohms -> sketch.figure(new SchematicFinding.Ohms(ohms), BESIDE, middle + 18));
        }
        points.draw(
                sketch,
                ReadingKind.SENSE_VOLTS,
                socket.testPoint(),
                AXIS,
                point,
                StagePoints.Beside.lines(BESIDE, middle + 34, middle + 50));
        if (!socket.testPoint().equals(socket.label())) {
            sketch.name(SchematicFinding.Called.within(TubeBlock.NAME_FITS, socket.testPoint()), BESIDE, middle + 2);
        }
    }

    /** Whether a socket of the row is the one under which a thing of the layer stands. */
    private boolean goesOn(Layer layer, int i) {
        String key = layer.sharers().apply(row.get(i));
        return !isDrawnBefore(layer, i)
                && IntStream.range(0, i)
                        .noneMatch(
                                other -> layer.sharers().apply(row.get(other)).equals(key));
    }

    /** What sockets of a row above stand on too is drawn there. */
    private boolean isDrawnBefore(Layer layer, int i) {
        String key = layer.sharers().apply(row.get(i));
        return sheet.sockets().stream()
                .takeWhile(each -> !each.equals(row.get(0)))
                .anyMatch(each -> layer.sharers().apply(each).equals(key));
    }

    private List<String> shared(Layer layer, List<Integer> standing) {
        return standing.stream()
                .map(i -> layer.sharers().apply(row.get(i)))
                .distinct()
                .filter(key -> sharers(layer, key, standing).length > 1)
                .toList();
    }

    private int[] sharers(Layer layer, String key, List<Integer> standing) {
        return standing.stream()
                .mapToInt(i -> i)
                .filter(i -> layer.sharers().apply(row.get(i)).equals(key))
                .toArray();
    }

    /** The wire that joins cathodes passes every tube between the first of them and the last. */
    private void join(Sketch sketch, int[] sharers, double level) {
        int first = sharers[0];
        int last = sharers[sharers.length - 1];
        if (index >= first && index <= last) {
            double from = index == first ? AXIS : 0;
            double to = index == last ? AXIS : TubeBlock.WIDTH;
            sketch.wire(from, level, to, level).way(from, level, to, level);
        }
    }
}
