package yellowrail.web.run;

import static yellowrail.web.chart.Plot.px;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.chart.Point;
import yellowrail.core.finding.Code;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.words.Words;

/** The operating map in SVG coordinates: paths and places, ready to be written. */
record MapView(
        String beyond,
        String rating,
        String window,
        String aim,
        List<Tick> across,
        List<Tick> up,
        Plot frame,
        List<Mark> marks,
        Place ratingLabel,
        Place aimLabel,
        String supply,
        List<Place> landings,
        String told) {

    static final int WIDTH = 560;
    static final int HEIGHT = 420;
    static final int LEFT = 54;
    static final int RIGHT = 12;
    static final int TOP = 14;
    static final int BOTTOM = 44;
    /** Tubes nearer than this on the picture share one label, px. */
    private static final double CLOSE = 20;
    /** A word this far from a tube's mark does not touch its label, px. */
    private static final double FREE = 90;

    /** Where a word is written. */
    record Place(String x, String y) {}

    /**
     * A tube's path and present place.
     *
     * @param path through its readings
     * @param x of the present place
     * @param y of the present place
     * @param fromX where its uncertainty in volts begins
     * @param toX where that ends
     * @param fromY where its uncertainty in current begins, below
     * @param toY where that ends, above
     * @param side decides the shape of its mark
     * @param label one or more tubes; blank when another mark carries it
     * @param labelX of the label
     * @param labelY of the label
     * @param anchor which side of the mark the label is on
     */
    record Mark(
            String path,
            String x,
            String y,
            String fromX,
            String toX,
            String fromY,
            String toY,
            String side,
            String label,
            String labelX,
            String labelY,
            String anchor) {}

    static MapView of(OperatingMap map, AmpSheet sheet, Words words) {
        Plot scale = new Plot(
                WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM, map.fromVolts(), map.toVolts(), 0, map.toAmps(), false);
        String rating = scale.line(map.rating());
        String beyond = rating + " L%s %s L%s %s Z".formatted(px(WIDTH - RIGHT), px(TOP), px(LEFT), px(TOP));
        List<Point> back = new ArrayList<>(map.low());
        Collections.reverse(back);
        String window = scale.line(map.high()) + " " + scale.line(back).replaceFirst("M", "L") + " Z";
        Point labelled = labelled(map, scale);
        Point aimed = map.aim().get(map.aim().size() - 1);
        return new MapView(
                beyond,
                rating,
                window,
                scale.line(map.aim()),
                scale.across(6, 1),
                scale.up(6, 1e3),
                scale,
                marks(map, scale, sheet),
                new Place(px(scale.x(labelled.x()) + 6), px(scale.y(labelled.y()) - 8)),
                new Place(px(scale.x(aimed.x()) - 4), px(scale.y(aimed.y()) - 5)),
                map.forecast().line().isEmpty() ? "" : scale.line(map.forecast().line()),
                map.forecast().landings().stream()
                        .map(point -> new Place(px(scale.x(point.x())), px(scale.y(point.y()))))
                        .toList(),
                told(map, words));
    }

    /** Where on the rating its name stands freest of the tubes. */
    private static Point labelled(OperatingMap map, Plot scale) {
        List<Point> rating = map.rating();
        Point usual = rating.get(rating.size() / 3);
        return Stream.of(usual, rating.get(rating.size() / 10), rating.get(rating.size() * 2 / 3))
                .filter(point -> map.tracks().stream().allMatch(track -> scale.distance(track.last(), point) > FREE))
                .findFirst()
                .orElse(usual);
    }

    private static List<Mark> marks(OperatingMap map, Plot scale, AmpSheet sheet) {
        List<Mark> marks = new ArrayList<>();
        for (Track track : map.tracks()) {
            String label = label(track, map.tracks(), scale);
            double x = scale.x(track.last().x());
            double y = scale.y(track.last().y());
            Socket socket = sheet.socket(track.label()).orElseThrow();
            boolean left = x > WIDTH - 90;
            marks.add(new Mark(
                    scale.line(track.points()),
                    px(x),
                    px(y),
                    px(scale.x(track.last().x() - track.voltsPlusMinus())),
                    px(scale.x(track.last().x() + track.voltsPlusMinus())),
                    px(scale.y(track.last().y() - track.ampsPlusMinus())),
                    px(scale.y(track.last().y() + track.ampsPlusMinus())),
                    Code.of(socket.side()),
                    label,
                    px(left ? x - 13 : x + 13),
                    px(y + 5),
                    left ? "end" : "start"));
        }
        return marks;
    }

    /** The labels of all tubes in this place, at the first of them. */
    private static String label(Track track, List<Track> all, Plot scale) {
        List<Track> here = all.stream()
                .filter(other -> scale.distance(track.last(), other.last()) < CLOSE)
                .toList();
        return here.get(0) == track ? here.stream().map(Track::label).collect(Collectors.joining(" ")) : "";
    }

    private static String told(OperatingMap map, Words words) {
        if (map.tracks().isEmpty()) {
            return words.message("page.map.empty");
        }
        String tubes = map.tracks().stream()
                .map(track -> words.message(
                        "page.map.tube",
                        track.label(),
                        Figures.fixed(track.last().x(), 0),
                        Figures.fixed(Unit.MILLIAMP.fromSi(track.last().y()), 1)))
                .collect(Collectors.joining(", "));
        String landings = map.forecast().landings().stream()
                .map(point -> words.message(
                        "page.map.landing",
                        Figures.fixed(point.x(), 0),
                        Figures.fixed(Unit.MILLIAMP.fromSi(point.y()), 1)))
                .collect(Collectors.joining());
        return words.message("page.map", tubes + landings);
    }
}
