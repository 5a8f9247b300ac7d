package yellowrail.web.run;

import static yellowrail.web.chart.Plot.px;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Side;
import yellowrail.core.chart.Point;
import yellowrail.core.finding.Code;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.chart.SideSign;
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
    /** Half the width of a tube's sign, px. */
    private static final double SIGN = 8;
    /** A word this far from a tube's mark does not touch its label, px. */
    private static final double FREE = 90;

    /**
     * A tube's path and present place.
     *
     * @param path through its readings
     * @param cross its uncertainty in volts and in current
     * @param side names its look
     * @param sign of its side, where it is now
     * @param label one or more tubes; blank when another mark carries it
     * @param labelAt where that is written
     * @param anchor which end of the label stands there
     */
    record Mark(String path, String cross, String side, String sign, String label, Place labelAt, String anchor) {}

    static MapView of(OperatingMap map, AmpSheet sheet, Words words) {
        Plot scale = new Plot(
                WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM, map.fromVolts(), map.toVolts(), 0, map.toAmps(), false);
        String rating = scale.line(map.rating());
        String beyond = rating + " L%s %s L%s %s Z".formatted(px(WIDTH - RIGHT), px(TOP), px(LEFT), px(TOP));
        List<Point> back = new ArrayList<>(map.low());
        Collections.reverse(back);
        String window = scale.line(map.high()) + " " + scale.line(back).replaceFirst("M", "L") + " Z";
        return new MapView(
                beyond,
                rating,
                window,
                scale.line(map.aim()),
                scale.across(6, 1),
                scale.up(6, 1e3),
                scale,
                marks(map, scale, sheet),
                scale.place(labelled(map, scale), 6, -8),
                scale.place(map.aim().get(map.aim().size() - 1), -4, -5),
                map.forecast().line().isEmpty() ? "" : scale.line(map.forecast().line()),
                map.forecast().landings().stream().map(scale::place).toList(),
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
            double x = scale.x(track.last().x());
            double y = scale.y(track.last().y());
            Side side = sheet.socket(track.label()).orElseThrow().side();
            boolean left = x > WIDTH - 90;
            marks.add(new Mark(
                    scale.line(track.points()),
                    scale.cross(track.last(), track.voltsPlusMinus(), track.ampsPlusMinus()),
                    Code.of(side),
                    SideSign.path(side, x, y, SIGN),
                    label(track, map.tracks(), scale),
                    Place.of(left ? x - 13 : x + 13, y + 5),
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
