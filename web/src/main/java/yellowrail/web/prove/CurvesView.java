package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;

/**
 * A chart of curves in SVG coordinates, both scales in equal ratios or the upright one in decibels.
 *
 * @param title what against what
 * @param unit across
 * @param upright its unit
 */
record CurvesView(
        String title, String unit, String upright, Plot frame, List<Tick> across, List<Tick> up, List<Curve> curves) {

    /** Kinds of strokes to tell curves apart. */
    private static final int STROKES = 4;

    private static final double WIDE = 200;
    /** Names at the ends of curves stand at least so far apart, px. */
    private static final double APART = 17;

    /**
     * @param name of the setting
     * @param look its stroke
     * @param at where its name stands
     */
    record Curve(String name, String path, String look, Place at) {}

    /**
     * What is drawn of a setting.
     *
     * @param computed by the load line, not measured
     */
    record Drawn(String name, boolean computed, List<Point> points) {

        Drawn {
            points = List.copyOf(points);
        }
    }

    /** Distortion, as a part of the fundamental, against watts or hertz. */
    static CurvesView ofDistortion(String title, String unit, List<Drawn> drawn) {
        double least = Math.max(1e-6, least(drawn, Point::y));
        double fromY = Math.floor(Math.log10(100 * least));
        double toY = Math.max(fromY + 1, Math.ceil(Math.log10(100 * most(drawn, Point::y))));
        Plot plot = plot(drawn, fromY, toY);
        List<Tick> up = new ArrayList<>();
        for (double decade = fromY; decade <= toY; decade++) {
            up.add(new Tick(Plot.px(plot.y(decade)), Figures.plain(Math.pow(10, decade)), plot.level(decade)));
        }
        return of(title, unit, "%", plot, up, logarithmic(drawn));
    }

    /** Decibels against hertz. */
    static CurvesView ofLevel(String title, List<Drawn> drawn) {
        Plot plot = plot(drawn, Math.min(-6, Math.floor(least(drawn, Point::y) / 3) * 3), 3);
        return of(title, "Hz", "dB", plot, plot.up(5, 1), drawn);
    }

    /** Watts against hertz. */
    static CurvesView ofPower(String title, List<Drawn> drawn) {
        Plot plot = plot(drawn, 0, 1.15 * most(drawn, Point::y));
        return of(title, "Hz", "W", plot, plot.up(5, 1), drawn);
    }

    private static Plot plot(List<Drawn> drawn, double fromY, double toY) {
        double from = least(drawn, Point::x);
        return new Plot(
                620,
                300,
                52,
                150,
                22,
                36,
                0.9 * from,
                Math.max(2 * from, 1.1 * most(drawn, Point::x)),
                fromY,
                toY,
                true);
    }

    private static List<Drawn> logarithmic(List<Drawn> drawn) {
        return drawn.stream()
                .map(each -> new Drawn(
                        each.name(),
                        each.computed(),
                        each.points().stream()
                                .map(point -> new Point(point.x(), Math.log10(100 * Math.max(1e-6, point.y()))))
                                .toList()))
                .toList();
    }

    private static CurvesView of(
            String title, String unit, String upright, Plot plot, List<Tick> up, List<Drawn> drawn) {
        List<Curve> curves = new ArrayList<>();
        List<Double> taken = new ArrayList<>();
        int stroke = 0;
        for (Drawn each : drawn) {
            Point end = each.points().get(each.points().size() - 1);
            double y = plot.y(end.y());
            while (tooNear(y, taken)) {
                y += APART;
            }
            taken.add(y);
            curves.add(new Curve(
                    each.name(),
                    plot.line(each.points()),
                    each.computed() ? "computed" : "measured stroke-" + stroke++ % STROKES,
                    Place.of(plot.width() - plot.right() + 8, y + 4)));
        }
        return new CurvesView(title, unit, upright, plot, across(plot), up, curves);
    }

    /** Over many decades the ones and twos alone; thousands as k. */
    private static List<Tick> across(Plot plot) {
        boolean wide = plot.toX() / plot.fromX() > WIDE;
        return plot.across(6, 1).stream()
                .filter(tick -> !wide || !tick.text().contains("5"))
                .map(tick -> new Tick(tick.at(), tick.text().replaceFirst("000$", "k"), tick.path()))
                .toList();
    }

    private static boolean tooNear(double y, List<Double> taken) {
        return taken.stream().anyMatch(other -> Math.abs(other - y) < APART);
    }

    private static double least(List<Drawn> drawn, ToDoubleFunction<Point> quantity) {
        return drawn.stream()
                .flatMap(each -> each.points().stream())
                .mapToDouble(quantity)
                .min()
                .orElseThrow();
    }

    private static double most(List<Drawn> drawn, ToDoubleFunction<Point> quantity) {
        return -least(drawn, point -> -quantity.applyAsDouble(point));
    }
}
