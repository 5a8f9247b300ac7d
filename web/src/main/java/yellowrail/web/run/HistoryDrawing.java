package yellowrail.web.run;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import yellowrail.core.chart.Point;
import yellowrail.core.closing.AmpHistory;
import yellowrail.core.quantity.Figures;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.words.Words;

/**
 * The settings of an amp against time: a bar from the coolest tube to the hottest, and the plates below.
 *
 * @param marks a bar and a spot for each closed run
 * @param rating the line of the rating
 * @param plateLine through the plate voltages
 */
record HistoryDrawing(
        Plot frame,
        List<Tick> up,
        Plot volts,
        List<Tick> voltsUp,
        List<Mark> marks,
        String rating,
        Place ratingLabel,
        String plateLine) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yy", Locale.ENGLISH);
    private static final int WIDTH = 560;
    private static final int HEIGHT = 300;
    private static final int LEFT = 54;
    private static final int RIGHT = 24;
    /** The shares of the picture: dissipation above, plates below. */
    private static final int UPPER_BOTTOM = 130;

    private static final int LOWER_TOP = 196;
    private static final double ROOM = 1.1;
    private static final double VOLTS_AROUND = 20;

    /** A closed run. */
    record Mark(long run, String bar, Place hottest, Place plates, Place day, String date, String told) {}

    static HistoryDrawing of(List<AmpHistory.Point> points, ZoneId zone, Words words) {
        Instant first = points.get(0).at();
        double span = Math.max(1, days(first, points.get(points.size() - 1).at()));
        double least =
                points.stream().mapToDouble(AmpHistory.Point::coolest).min().orElse(0);
        double most =
                points.stream().mapToDouble(AmpHistory.Point::hottest).max().orElse(1);
        Plot plot = new Plot(
                WIDTH,
                HEIGHT,
                LEFT,
                RIGHT,
                14,
                UPPER_BOTTOM,
                0,
                span,
                Math.max(0, Math.min(0.4, least - 0.1)),
                Math.max(ROOM, ROOM * most),
                false);
        double low = points.stream().mapToDouble(AmpHistory.Point::plates).min().orElse(0) - VOLTS_AROUND;
        double high =
                points.stream().mapToDouble(AmpHistory.Point::plates).max().orElse(0) + VOLTS_AROUND;
        Plot volts = new Plot(WIDTH, HEIGHT, LEFT, RIGHT, LOWER_TOP, 40, 0, span, low, high, false);
        List<Mark> marks = new ArrayList<>();
        List<Point> plates = new ArrayList<>();
        double free = Double.NEGATIVE_INFINITY;
        for (AmpHistory.Point point : points) {
            double x = days(first, point.at());
            boolean room = plot.x(x) > free;
            free = room ? plot.x(x) + 64 : free;
            plates.add(new Point(x, point.plates()));
            marks.add(new Mark(
                    point.run(),
                    plot.line(List.of(new Point(x, point.coolest()), new Point(x, point.hottest()))),
                    plot.place(new Point(x, point.hottest())),
                    volts.place(new Point(x, point.plates())),
                    Place.of(Math.min(Math.max(plot.x(x), LEFT + 20), WIDTH - RIGHT - 12), HEIGHT - 20),
                    room ? DAY.format(point.at().atZone(zone)) : "",
                    words.message(
                            "page.run.history.point",
                            DAY.format(point.at().atZone(zone)),
                            Figures.percent(point.coolest()),
                            Figures.percent(point.hottest()),
                            Figures.volts(point.plates()),
                            point.apart().isPresent()
                                    ? Figures.percent(point.apart().getAsDouble())
                                    : "\u2013")));
        }
        return new HistoryDrawing(
                plot,
                plot.up(4, 100),
                volts,
                volts.up(3, 1),
                marks,
                plot.level(1),
                plot.place(new Point(0, 1), 6, -5),
                volts.line(plates));
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMinutes() / 1440.0;
    }
}
