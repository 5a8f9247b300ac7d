package yellowrail.web.run;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Point;
import yellowrail.core.map.Track;
import yellowrail.core.quantity.Unit;

/** The operating map in SVG coordinates: paths and places, ready to be written. */
record MapView(String beyond, String rating, String window, String aim, List<Tick> across, List<Tick> up, List<Mark> marks,
               Place ratingLabel, Place aimLabel, String supply, List<Place> landings, String inWords) {

    static final int WIDTH = 560;
    static final int HEIGHT = 420;
    static final int LEFT = 54;
    static final int RIGHT = 12;
    static final int TOP = 14;
    static final int BOTTOM = 44;
    /** Tubes nearer than this on the picture share one label, px. */
    private static final double CLOSE = 20;

    /** A line of the scale. */
    record Tick(String at, String text) {
    }

    /** Where a word is written. */
    record Place(String x, String y) {
    }

    /**
     * A tube's path and present place.
     *
     * @param path   through its readings
     * @param x      of the present place
     * @param y      of the present place
     * @param fromX  where its uncertainty in volts begins
     * @param toX    where that ends
     * @param fromY  where its uncertainty in current begins, below
     * @param toY    where that ends, above
     * @param side   decides the shape of its mark
     * @param label  one or more tubes; blank when another mark carries it
     * @param labelX of the label
     * @param labelY of the label
     * @param anchor which side of the mark the label is on
     */
    record Mark(String path, String x, String y, String fromX, String toX, String fromY, String toY, String side, String label,
                String labelX, String labelY, String anchor) {
    }

    static MapView of(OperatingMap map, AmpSheet sheet) {
        Scale scale = new Scale(map);
        String rating = scale.line(map.rating());
        String beyond = rating + " L%s %s L%s %s Z".formatted(px(WIDTH - RIGHT), px(TOP), px(LEFT), px(TOP));
        List<Point> back = new ArrayList<>(map.low());
        Collections.reverse(back);
        String window = scale.line(map.high()) + " " + scale.line(back).replaceFirst("M", "L") + " Z";
        Point labelled = map.rating().get(map.rating().size() / 3);
        Point aimed = map.aim().get(map.aim().size() - 1);
        return new MapView(beyond, rating, window, scale.line(map.aim()), scale.across(), scale.up(), marks(map, scale, sheet),
                new Place(px(scale.x(labelled.volts()) + 6), px(scale.y(labelled.amps()) - 8)),
                new Place(px(scale.x(aimed.volts()) - 4), px(scale.y(aimed.amps()) - 5)),
                map.forecast().line().isEmpty() ? "" : scale.line(map.forecast().line()),
                map.forecast().landings().stream().map(point -> new Place(px(scale.x(point.volts())), px(scale.y(point.amps())))).toList(), inWords(map));
    }

    private static List<Mark> marks(OperatingMap map, Scale scale, AmpSheet sheet) {
        List<Mark> marks = new ArrayList<>();
        for (Track track : map.tracks()) {
            String label = label(track, map.tracks(), scale);
            double x = scale.x(track.last().volts());
            double y = scale.y(track.last().amps());
            Socket socket = sheet.socket(track.label()).orElseThrow();
            boolean left = x > WIDTH - 90;
            marks.add(new Mark(scale.line(track.points()), px(x), px(y),
                    px(scale.x(track.last().volts() - track.voltsPlusMinus())), px(scale.x(track.last().volts() + track.voltsPlusMinus())),
                    px(scale.y(track.last().amps() - track.ampsPlusMinus())), px(scale.y(track.last().amps() + track.ampsPlusMinus())),
                    socket.side().inWords(), label, px(left ? x - 13 : x + 13), px(y + 5), left ? "end" : "start"));
        }
        return marks;
    }

    /** The labels of all tubes in this place, at the first of them. */
    private static String label(Track track, List<Track> all, Scale scale) {
        List<Track> here = all.stream().filter(other -> scale.distance(track.last(), other.last()) < CLOSE).toList();
        return here.get(0) == track ? here.stream().map(Track::label).collect(Collectors.joining(" ")) : "";
    }

    private static String inWords(OperatingMap map) {
        if (map.tracks().isEmpty()) {
            return "Operating map: no tube has both a current and a plate voltage yet.";
        }
        return "Operating map: " + map.tracks().stream().map(track -> "%s at %.0f V and %.1f mA of plate current".formatted(
                track.label(), track.last().volts(), Unit.MILLIAMP.fromSi(track.last().amps()))).collect(Collectors.joining(", "))
                + map.forecast().landings().stream().map(point -> "; the next move lands at %.0f V and %.1f mA".formatted(point.volts(), Unit.MILLIAMP.fromSi(point.amps())))
                .collect(Collectors.joining()) + ".";
    }

    /** To a tenth of a pixel; written without a formatter, for a page has a thousand of them. */
    private static String px(double value) {
        return String.valueOf(Math.round(10 * value) / 10.0);
    }

    /** From volts and amps to the picture. */
    private record Scale(OperatingMap map) {

        double x(double volts) {
            return LEFT + (WIDTH - LEFT - RIGHT) * (volts - map.fromVolts()) / (map.toVolts() - map.fromVolts());
        }

        double y(double amps) {
            return HEIGHT - BOTTOM - (HEIGHT - TOP - BOTTOM) * amps / map.toAmps();
        }

        double distance(Point one, Point other) {
            return Math.hypot(x(one.volts()) - x(other.volts()), y(one.amps()) - y(other.amps()));
        }

        String line(List<Point> points) {
            return points.stream().map(point -> px(x(point.volts())) + " " + px(y(point.amps())))
                    .collect(Collectors.joining(" L", "M", ""));
        }

        List<Tick> across() {
            return ticks(map.fromVolts(), map.toVolts(), 6).stream().map(volts -> new Tick(px(x(volts)), String.format(Locale.ROOT, "%.0f", volts))).toList();
        }

        List<Tick> up() {
            return ticks(0, Unit.MILLIAMP.fromSi(map.toAmps()), 6).stream()
                    .map(milliamps -> new Tick(px(y(Unit.MILLIAMP.toSi(milliamps))), String.format(Locale.ROOT, "%.0f", milliamps))).toList();
        }

        private static List<Double> ticks(double from, double to, int about) {
            double raw = (to - from) / about;
            double magnitude = Math.pow(10, Math.floor(Math.log10(raw)));
            double step = magnitude * (raw / magnitude < 1.5 ? 1 : raw / magnitude < 3.5 ? 2 : raw / magnitude < 7.5 ? 5 : 10);
            List<Double> ticks = new ArrayList<>();
            for (double at = Math.ceil(from / step) * step; at <= to + 1e-9; at += step) {
                ticks.add(at);
            }
            return ticks;
        }
    }
}
