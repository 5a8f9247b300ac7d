package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Socket;
import yellowrail.core.finding.Code;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.SideSign;
import yellowrail.web.words.Words;

/**
 * The output stage as a drawing: the rail on top, a tube hanging from it at each socket, the test points below.
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
    private static final int SIGN_Y = 42;
    private static final int SIGN = 9;
    private static final int POINT_Y = 164;

    /**
     * A tube at its socket, drawn about its axis.
     *
     * @param sign the path of its side's sign
     * @param occupant what is written on it, line by line
     */
    public record Tube(
            Place axis,
            String label,
            String side,
            String sideName,
            String channel,
            String sign,
            List<String> occupant) {}

    /** A test point under the tubes that share it, drawn about its middle; {@code wire} joins them. */
    public record Point(Place middle, String wire, String label) {}

    /** The part of the drawing that is shown. */
    public String viewBox() {
        return "0 0 %d %d".formatted(width, height);
    }

    /** The path of the rail. */
    public String rail() {
        return "M6 12H" + (width - 6);
    }

    /** @param occupants what is written on the tube in each socket, in the order of the sheet */
    public static StageDrawing of(AmpSheet sheet, List<List<String>> occupants, Words words) {
        List<Tube> tubes = new ArrayList<>();
        List<Socket> sockets = sheet.sockets();
        for (int i = 0; i < sockets.size(); i++) {
            Socket socket = sockets.get(i);
            tubes.add(new Tube(
                    Place.of(axis(i), 0),
                    socket.label(),
                    Code.of(socket.side()),
                    words.name(socket.side()),
                    socket.channel() == Channel.MONO ? "" : words.name(socket.channel()),
                    SideSign.path(socket.side(), 0, SIGN_Y, SIGN),
                    occupants.get(i)));
        }
        List<Point> points =
                sheet.testPoints().stream().map(point -> joined(point, sockets)).toList();
        return new StageDrawing(2 * MARGIN + STEP * sockets.size(), HEIGHT, tubes, points);
    }

    private static int axis(int socket) {
        return MARGIN + STEP / 2 + socket * STEP;
    }

    private static Point joined(String point, List<Socket> sockets) {
        int[] axes = IntStream.range(0, sockets.size())
                .filter(i -> sockets.get(i).testPoint().equals(point))
                .map(StageDrawing::axis)
                .toArray();
        int half = (axes[axes.length - 1] - axes[0]) / 2;
        return new Point(
                Place.of(axes[0] + half, 0), "M%d %dH%dM0 %dv12".formatted(-half, POINT_Y, half, POINT_Y), point);
    }
}
