package yellowrail.web.trace;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.core.trace.TraceChart;
import yellowrail.core.trace.TracePlan;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.PlateCurve;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.drawer.PointRow;
import yellowrail.web.words.Words;

/**
 * A tube's curves in SVG coordinates, with what was read and what is to be read.
 *
 * @param traced how many of the steps are read
 */
record TraceView(
        List<PlateCurve> own,
        List<PlateCurve> typical,
        String rating,
        List<Mark> read,
        List<Mark> open,
        List<Tick> across,
        List<Tick> up,
        Plot frame,
        List<Line> lines,
        int traced,
        int steps) {

    private static final double NEAR = 0.03;
    /** A point on the chart: of the table by its number, or of the plan by its place. */
    record Mark(Place at, String title, boolean left, int number) {}

    /** A point as the table has it. */
    record Line(
            long id,
            String plate,
            String screen,
            String grid,
            String current,
            String screenCurrent,
            String off,
            String by,
            boolean left) {}

    static TraceView of(TraceService.OnStand tube, TracePlan plan, OptionalDouble screen, Words words) {
        List<PointRow> shown =
                tube.points().stream().filter(row -> isAt(row.point(), screen)).toList();
        TraceChart chart = TraceChart.of(
                tube.traced(),
                tube.typical().map(known -> known.model()),
                plan,
                shown.stream().map(PointRow::point).toList(),
                screen,
                tube.type().orElseThrow().customaryRating().plateWatts());
        Plot plot = new Plot(760, 460, 60, 66, 14, 46, 0, chart.volts(), 0, chart.amps(), false);
        List<TracePlan.Step> steps = plan.steps();
        return new TraceView(
                PlateCurve.of(chart.own(), chart.volts(), chart.amps(), plot, true),
                PlateCurve.of(chart.typical(), chart.volts(), chart.amps(), plot, true),
                PlateCurve.beyond(chart.rating(), chart.volts(), chart.amps(), plot),
                shown.stream()
                        .map(row -> new Mark(
                                plot.place(new Point(row.plateVolts(), row.amps())),
                                told(row.point(), words),
                                row.leftOut(),
                                tube.points().indexOf(row)))
                        .toList(),
                IntStream.range(0, steps.size())
                        .filter(i -> !steps.get(i).taken())
                        .mapToObj(i -> new Mark(
                                plot.place(new Point(
                                        steps.get(i).plate(), steps.get(i).expected())),
                                set(steps.get(i), words),
                                false,
                                i))
                        .toList(),
                plot.across(8, 1),
                plot.up(7, 1e3),
                plot,
                tube.points().stream().map(row -> line(row, tube, words)).toList(),
                (int) steps.stream().filter(TracePlan.Step::taken).count(),
                steps.size());
    }

    private static boolean isAt(TracedPoint point, OptionalDouble screen) {
        return point.screen().isPresent() == screen.isPresent()
                && (screen.isEmpty() || Math.abs(point.pull() - screen.getAsDouble()) <= NEAR * screen.getAsDouble());
    }

    /** What to set for a step. */
    static String set(TracePlan.Step step, Words words) {
        return words.message(
                "page.trace.step",
                Figures.plain(step.plate()),
                Figures.plain(step.grid()),
                NextPoint.milliamps(step.expected()));
    }

    private static String told(TracedPoint point, Words words) {
        return words.message(
                "page.trace.read-at",
                Figures.plain(point.plate()),
                Figures.plain(point.grid()),
                NextPoint.milliamps(point.amps()));
    }

    private static Line line(PointRow row, TraceService.OnStand tube, Words words) {
        TracedPoint point = row.point();
        return new Line(
                row.id(),
                Figures.plain(point.plate()),
                point.screen().isPresent() ? Figures.plain(point.screen().getAsDouble()) : "",
                Figures.plain(point.grid()),
                Figures.fixed(1e3 * point.amps(), 1),
                point.screenAmps().isPresent()
                        ? Figures.fixed(1e3 * point.screenAmps().getAsDouble(), 1)
                        : "",
                tube.traced()
                        .map(model -> 1e3 * (point.amps() - point.by(model)))
                        .map(off -> (off < 0 ? "" : "+") + Figures.fixed(off, 1))
                        .orElse(""),
                words.name(row.by()),
                row.leftOut());
    }
}
