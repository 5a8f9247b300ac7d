package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Socket;
import yellowrail.core.chart.Point;

/**
 * An amp drawn from its sheet: its blocks side by side under the rail, and in as many rows as the width asks for; then
 * the rail goes down the left edge from row to row.
 *
 * @param width of the drawing
 * @param height of it
 * @param drawn marks, in the order in which they lie on one another
 */
public record Schematic(double width, double height, List<Drawn> drawn) {

    private static final double EDGE = 14;
    /** Above the rail stand the names of what is in it. */
    private static final double ABOVE = 34;

    public Schematic {
        drawn = List.copyOf(drawn);
    }

    /**
     * @param written what is written on the tubes, by socket
     * @param most how wide it may be; a single block may be wider
     */
    public static Schematic of(AmpSheet sheet, Map<String, String> written, double most) {
        List<List<Block>> rows = rows(sheet, written, most - 2 * EDGE);
        double width = 2 * EDGE + rows.stream().mapToDouble(Rows::used).max().orElse(0);
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
                rails.add(rail(EDGE / 2, rail, width - EDGE / 2, rail));
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
            rails.add(rail(EDGE / 2, first, EDGE / 2, last));
        }
        rails.addAll(hung);
        return new Schematic(width, y, rails);
    }

    private static Drawn rail(double... ends) {
        return new Drawn.Wire(List.of(new Point(ends[0], ends[1]), new Point(ends[2], ends[3])), true);
    }

    /** The tubes of a row know one another: their lines go on from one to the next. */
    private static List<List<Block>> rows(AmpSheet sheet, Map<String, String> written, double most) {
        Rows rows = new Rows(most);
        rows.add(SupplyBlock.of(sheet));
        rows.add(SupplyBlock.screens(sheet));
        byChannel(sheet).forEach((channel, sockets) -> {
            rows.add(OutputBlock.of(
                    sheet, channel, sockets.get(0) != sheet.sockets().get(0)));
            List<Socket> left = sockets;
            while (!left.isEmpty()) {
                int fit = Math.max(1, Math.min(left.size(), rows.fit(TubeBlock.WIDTH)));
                List<Socket> row = left.subList(0, fit);
                for (int i = 0; i < fit; i++) {
                    rows.add(TubeBlock.of(
                            sheet, row, i, written.getOrDefault(row.get(i).label(), "")));
                }
                left = left.subList(fit, left.size());
            }
        });
        rows.add(SupplyBlock.preamp(sheet));
        if (!sheet.bias().isCathode()) {
            rows.add(BiasBlock.of(sheet));
        }
        rows.add(BiasBlock.heaters(sheet));
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

    /** Rows that are filled one after another. */
    private static final class Rows {

        private final double most;
        private final List<List<Block>> all = new ArrayList<>(List.of(new ArrayList<>()));

        Rows(double most) {
            this.most = most;
        }

        void add(Block block) {
            List<Block> last = all.get(all.size() - 1);
            if (!last.isEmpty() && used(last) + block.width() > most) {
                last = new ArrayList<>();
                all.add(last);
            }
            last.add(block);
        }

        /** How many of a width the last row still takes, or a new one where it takes none. */
        int fit(double width) {
            int here = (int) ((most - used(all.get(all.size() - 1))) / width);
            return here > 0 ? here : (int) (most / width);
        }

        private static double used(List<Block> row) {
            return row.stream().mapToDouble(Block::width).sum();
        }

        List<List<Block>> all() {
            return all;
        }
    }
}
