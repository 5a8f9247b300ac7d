package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Socket;
import yellowrail.core.finding.Code;
import yellowrail.web.words.Words;

/**
 * The output stage as a drawing: the rail on top, a tube hanging from it at each socket, the test points below. Push is
 * a mark that points up, pull one that points down, single a diamond; so they differ by shape before they do by shade.
 *
 * @param width of the drawing
 * @param height of the drawing
 * @param tubes the tubes
 * @param points the test points
 */
public record StageDrawing(int width, int height, List<Tube> tubes, List<Point> points) {

    private static final int STEP = 104;
    private static final int MARGIN = 20;
    private static final int HEIGHT = 226;
    private static final int TUBE_Y = 96;

    /** A tube at its socket; {@code mark} is the path of its side's sign. */
    public record Tube(int x, int y, String label, String side, String sideName, String channel, String mark) {}

    /** A test point under the tubes that share it. */
    public record Point(int fromX, int toX, int middleX, String label) {}

    public static StageDrawing of(AmpSheet sheet, Words words) {
        List<Tube> tubes = new ArrayList<>();
        List<Socket> sockets = sheet.sockets();
        for (int i = 0; i < sockets.size(); i++) {
            Socket socket = sockets.get(i);
            int x = MARGIN + STEP / 2 + i * STEP;
            tubes.add(new Tube(
                    x,
                    TUBE_Y,
                    socket.label(),
                    Code.of(socket.side()),
                    words.name(socket.side()),
                    socket.channel() == Channel.MONO ? "" : words.name(socket.channel()),
                    mark(socket, x)));
        }
        List<Point> points = sheet.testPoints().stream()
                .map(point -> {
                    int[] xs = sockets.stream()
                            .filter(socket -> socket.testPoint().equals(point))
                            .mapToInt(
                                    socket -> tubes.get(sockets.indexOf(socket)).x())
                            .toArray();
                    int from = xs[0];
                    int to = xs[xs.length - 1];
                    return new Point(from, to, (from + to) / 2, point);
                })
                .toList();
        return new StageDrawing(2 * MARGIN + STEP * sockets.size(), HEIGHT, tubes, points);
    }

    private static String mark(Socket socket, int x) {
        int y = 42;
        return switch (socket.side()) {
            case PUSH -> "M%d %d l9 15 h-18 z".formatted(x, y - 8);
            case PULL -> "M%d %d l9 -15 h-18 z".formatted(x, y + 8);
            case SINGLE -> "M%d %d l9 9 l-9 9 l-9 -9 z".formatted(x, y - 9);
        };
    }
}
