package yellowrail.web.soak;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.soak.SoakChart;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.words.Words;

/** The curves of a soak in SVG coordinates. */
public record SoakDrawing(
        Plot frame,
        List<Tick> across,
        List<Tick> up,
        String unit,
        List<Curve> curves,
        List<Limit> limits,
        List<Mark> marks,
        Field field) {

    private static final int WIDTH = 560;
    private static final int HEIGHT = 430;
    private static final int LEFT = 54;
    private static final int RIGHT = 42;
    private static final int TOP = 34;
    private static final int BOTTOM = 44;
    /** Labels of curves stand so far apart at least, px. */
    private static final double APART = 18;

    private static final double WORD = 66;

    /**
     * A test point in one stretch.
     *
     * @param look which of the strokes it has
     * @param band path around the fit
     * @param label blank but at the present end
     */
    public record Curve(String look, String fit, String band, List<Place> readings, String label, Place labelAt) {}

    /** A rating as a line, and its name. */
    public record Limit(String path, String label, Place at) {}

    /** What happened, as an upright line with a word above it. */
    public record Mark(String path, String label, Place at) {}

    /** Where curves are drawn, px. */
    public record Field(int x, int y, int width, int height) {}

    /** @param unit of the readings; percent where they are told so */
    static SoakDrawing of(SoakChart chart, Unit unit, Words words) {
        double in = unit == Unit.PERCENT ? 1 : unit.fromSi(1);
        Plot plot = new Plot(
                WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM, chart.from(), chart.to(), chart.least(), chart.most(), false);
        return new SoakDrawing(
                plot,
                plot.across(8, 1),
                plot.up(6, in),
                unit.toString(),
                curves(chart, plot),
                limits(chart, plot, words),
                marks(chart, plot, words),
                new Field(LEFT, TOP, WIDTH - LEFT - RIGHT, HEIGHT - TOP - BOTTOM));
    }

    private static List<Curve> curves(SoakChart chart, Plot plot) {
        List<SoakChart.Line> named = chart.lines().stream()
                .filter(SoakChart.Line::present)
                .sorted(Comparator.comparingDouble(line -> -last(line).y()))
                .toList();
        double[] heights =
                named.stream().mapToDouble(line -> plot.y(last(line).y())).toArray();
        for (int i = 1; i < heights.length; i++) {
            heights[i] = Math.max(heights[i], heights[i - 1] + APART);
        }
        List<Curve> curves = new ArrayList<>();
        for (SoakChart.Line line : chart.lines()) {
            int place = named.indexOf(line);
            List<Point> back = new ArrayList<>(line.low());
            Collections.reverse(back);
            curves.add(new Curve(
                    Stroke.of(line.point()) + (line.present() ? "" : " earlier"),
                    line.fit().isEmpty() ? "" : plot.line(line.fit()),
                    line.fit().isEmpty()
                            ? ""
                            : plot.line(line.high()) + " " + plot.line(back).replaceFirst("M", "L") + " Z",
                    line.readings().stream()
                            .filter(point -> point.x() >= chart.from())
                            .map(plot::place)
                            .toList(),
                    place < 0 ? "" : line.label(),
                    place < 0 ? null : Place.of(plot.x(last(line).x()) + 8, heights[place] + 5)));
        }
        return curves;
    }

    private static Point last(SoakChart.Line line) {
        return line.readings().get(line.readings().size() - 1);
    }

    private static List<Limit> limits(SoakChart chart, Plot plot, Words words) {
        List<Limit> limits = new ArrayList<>();
        double highest = Double.NEGATIVE_INFINITY;
        for (SoakChart.Line line : chart.lines()) {
            OptionalDouble limit = line.limit();
            if (limit.isPresent() && limit.getAsDouble() <= chart.most()) {
                boolean apart = Math.abs(plot.y(limit.getAsDouble()) - plot.y(highest)) > APART;
                limits.add(new Limit(
                        plot.level(limit.getAsDouble()),
                        apart || Double.isInfinite(highest) ? words.message("page.soak.rating-of", line.label()) : "",
                        Place.of(LEFT + 6, plot.y(limit.getAsDouble()) - 5)));
                highest = limit.getAsDouble();
            }
        }
        return limits;
    }

    /** Words that would stand on one another are told once. */
    private static List<Mark> marks(SoakChart chart, Plot plot, Words words) {
        List<Mark> marks = new ArrayList<>();
        double free = Double.NEGATIVE_INFINITY;
        for (SoakChart.Mark mark : chart.marks()) {
            double x = plot.x(mark.minutes());
            boolean room = x > free;
            marks.add(new Mark(
                    plot.upright(mark.minutes()), room ? words.say(mark.what()) : "", Place.of(x + 3, TOP - 8)));
            free = room ? x + WORD : free;
        }
        return marks;
    }

    /** The limits that are beyond the drawing, in words. */
    static String beyond(SoakChart chart, Unit unit, Words words) {
        Map<String, String> labels = new LinkedHashMap<>();
        chart.lines().stream()
                .filter(line -> line.limit().isPresent() && line.limit().getAsDouble() > chart.most())
                .forEach(line -> labels.merge(
                        unit == Unit.PERCENT
                                ? Figures.fixed(line.limit().getAsDouble(), 0) + " %"
                                : Figures.toTurnTo(unit, line.limit().getAsDouble()),
                        line.label(),
                        (some, another) -> some + ", " + another));
        return labels.entrySet().stream()
                .map(each -> words.message("page.soak.rating-beyond", each.getValue(), each.getKey()))
                .collect(Collectors.joining(" \u00b7 "));
    }
}
