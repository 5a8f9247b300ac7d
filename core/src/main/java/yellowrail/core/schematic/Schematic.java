package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Socket;
import yellowrail.core.chart.Point;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.walk.ChartCheck;

/**
 * An amp drawn from its sheet: its blocks side by side under the rail, and in as many rows as the width asks for; then
 * the rail goes down the left edge from row to row.
 *
 * @param width of the drawing
 * @param height of it
 * @param drawn marks, in the order in which they lie on one another
 */
public record Schematic(double width, double height, List<Drawn> drawn) {

    private static final double EDGE = 24;

    private static final double RIGHT_EDGE = 10;
    /** Where the rail goes down the left edge. */
    private static final double DOWN = 7;
    /** Above the rail stand the names of what is in it. */
    private static final double ABOVE = 34;

    public Schematic {
        drawn = List.copyOf(drawn);
    }

    /**
     * @param catalogue what its tubes are
     * @param written what is written on them, by socket
     * @param points what was read
     * @param most how wide it may be; a single block may be wider
     */
    public static Schematic of(
            AmpSheet sheet, TubeCatalogue catalogue, Map<String, String> written, StagePoints points, double most) {
        List<List<Block>> rows =
                rows(sheet, Screens.of(sheet, catalogue), written, points.undrawn(), most - EDGE - RIGHT_EDGE);
        return laidOut(rows.stream()
                .map(row -> row.stream().map(Block::withoutWay).toList())
                .toList());
    }

    /** The same with the way of the direct current, and nothing that was read. */
    public static Schematic withWay(AmpSheet sheet, TubeCatalogue catalogue, double most) {
        return laidOut(rows(
                sheet, Screens.of(sheet, catalogue), Map.of(), StagePoints.NONE.undrawn(), most - EDGE - RIGHT_EDGE));
    }

    /** The rest of the amp as its voltage chart tells it. */
    public static Schematic of(ChartCheck check, double most) {
        Rows rows = new Rows(most - EDGE - RIGHT_EDGE);
        ChartBlocks.of(check).forEach(rows::add);
        return laidOut(rows.all());
    }

    private static Schematic laidOut(List<List<Block>> rows) {
        double width =
                EDGE + RIGHT_EDGE + rows.stream().mapToDouble(Rows::used).max().orElse(0);
        List<Drawn> rails = new ArrayList<>();
        List<Drawn> hung = new ArrayList<>();
        double y = 0;
        double first = ABOVE;
        double last = ABOVE;
        for (List<Block> row : rows) {
            boolean hangs = row.stream().anyMatch(Block::hangs);
            double top =
                    hangs ? -ABOVE : row.stream().mapToDouble(Block::top).min().orElse(0);
            double rail = y - top;
            if (hangs) {
                rails.add(rail(DOWN, rail, width - DOWN, rail));
                last = rail;
            }
            double x = EDGE;
            for (Block block : row) {
                for (Drawn each : block.drawn()) {
                    hung.add(each.moved(x, rail));
                }
                x += block.width();
            }
            y = rail + row.stream().mapToDouble(Block::bottom).max().orElse(0);
        }
        if (last > first) {
            rails.add(rail(DOWN, first, DOWN, last));
        }
        rails.addAll(hung);
        return new Schematic(width, y, rails);
    }

    private static Drawn rail(double... ends) {
        return new Drawn.Wire(List.of(new Point(ends[0], ends[1]), new Point(ends[2], ends[3])), true);
    }

    /** The tubes of a row know one another: their lines go on from one to the next. */
    private static List<List<Block>> rows(
            AmpSheet sheet, Screens screens, Map<String, String> written, StagePoints points, double most) {
        Rows rows = new Rows(most);
        rows.add(SupplyBlock.of(sheet, points));
        if (SupplyBlock.hasDrop(sheet)) {
            rows.add(SupplyBlock.drop(sheet, points));
        }
        rows.add(SupplyBlock.screens(sheet, screens));
        byChannel(sheet).values().forEach(sockets -> {
            rows.add(OutputBlock.of(sheet, screens, sockets, points));
            List<Socket> left = sockets;
            while (!left.isEmpty()) {
                int fit = Math.max(1, Math.min(left.size(), rows.fit(TubeBlock.WIDTH)));
                List<Socket> row = left.subList(0, fit);
                for (int i = 0; i < fit; i++) {
                    rows.add(TubeBlock.of(
                            sheet,
                            screens,
                            row,
                            i,
                            written.getOrDefault(row.get(i).label(), ""),
                            points));
                }
                left = left.subList(fit, left.size());
            }
        });
        rows.add(SupplyBlock.preamp(sheet));
        if (!sheet.bias().isCathode()) {
            rows.add(BiasBlock.of(sheet));
        }
        rows.add(BiasBlock.heaters(sheet, points));
        List<Probed> left = points.left();
        for (int i = 0; i < left.size(); i += NodeBlock.IN_A_COLUMN) {
            rows.add(NodeBlock.alone(left.subList(i, Math.min(left.size(), i + NodeBlock.IN_A_COLUMN)), Levels.PULL));
        }
        return rows.all();
    }

    private static Map<Channel, List<Socket>> byChannel(AmpSheet sheet) {
        Map<Channel, List<Socket>> channels = new LinkedHashMap<>();
        for (Socket socket : sheet.sockets()) {
            channels.computeIfAbsent(socket.channel(), channel -> new ArrayList<>())
                    .add(socket);
        }
        return channels;
    }
}
