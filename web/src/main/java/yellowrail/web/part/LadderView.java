package yellowrail.web.part;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import yellowrail.web.chart.Plot;

/**
 * Currents, volts or watts under each other on one scale, a row for each, and what a part does to them: from
 * {@code zone} on it opens or is passed. What is fitted can be moved along.
 *
 * @param told all of it in words
 * @param viewBox of the drawing
 * @param rows from the top
 * @param zone over the whole height
 * @param foot where the scale is written
 * @param handle of the part
 */
record LadderView(
        String told, String viewBox, List<Row> rows, String zone, List<Plot.Tick> ticks, int foot, Handle handle) {

    private static final int WIDTH = 700;
    private static final int SIDE = 24;
    private static final int TOP = 30;
    private static final int BOTTOM = 34;
    private static final int MOST_TICKS = 8;
    private static final int FOOT = 10;
    private static final int ROW = 46;
    private static final int TEXT = 24;
    private static final int LINE = 36;
    /** The scale runs so much beyond what it shows, as a ratio. */
    private static final double BEYOND = 1.4;

    /**
     * A row of it.
     *
     * @param y of its words
     * @param line from the left edge to its figure
     * @param look of its line
     */
    record Row(String text, String y, String line, String look) {}

    /**
     * What is moved.
     *
     * @param at where it stands
     * @param field it writes into
     * @param values that it may take, as they are typed
     * @param places of those
     */
    record Handle(String at, String line, String field, String values, String places) {}

    /**
     * Something to show.
     *
     * @param name with its figure
     * @param value on the scale
     * @param over whether it lies where it should not
     */
    record Mark(String name, double value, boolean over) {}

    /**
     * A part that may take several values.
     *
     * @param field it is typed in
     * @param at what it is now, on the scale
     * @param typed the values as they are typed
     * @param places what each is on the scale
     */
    record Movable(String field, double at, List<String> typed, List<Double> places) {}

    /**
     * @param from where the zone begins, on the scale
     * @param to where it ends; infinite for the end of the scale
     * @param logarithmic else from zero on
     */
    static LadderView of(List<Mark> marks, double from, double to, Movable part, boolean logarithmic) {
        double most =
                Math.max(from, marks.stream().mapToDouble(Mark::value).max().orElse(from));
        double least =
                Math.min(from, marks.stream().mapToDouble(Mark::value).min().orElse(from));
        int height = TOP + ROW * marks.size() + BOTTOM;
        Plot plot = new Plot(
                WIDTH,
                height,
                SIDE,
                SIDE,
                TOP,
                BOTTOM,
                logarithmic ? least / BEYOND : 0,
                most * BEYOND,
                0,
                1,
                logarithmic);
        List<Row> rows = new ArrayList<>();
        for (Mark mark : marks) {
            int top = TOP + ROW * rows.size();
            rows.add(new Row(
                    mark.name(),
                    String.valueOf(top + TEXT),
                    "M%d %dH%s".formatted(SIDE, top + LINE, Plot.px(plot.x(mark.value()))),
                    mark.over() ? "rung over" : "rung"));
        }
        double left = plot.x(from);
        double right = Math.min(WIDTH - SIDE, plot.x(Math.min(to, most * BEYOND)));
        return new LadderView(
                marks.stream().map(Mark::name).collect(Collectors.joining(", ")),
                plot.viewBox(),
                rows,
                "M%s %dV%dH%sV%dZ".formatted(Plot.px(left), TOP, height - BOTTOM, Plot.px(right), TOP),
                ticks(plot),
                height - FOOT,
                handle(part, plot, height));
    }

    /** Of a long scale the powers of ten alone, so that their figures do not meet. */
    private static List<Plot.Tick> ticks(Plot plot) {
        List<Plot.Tick> all = plot.across(7, 1);
        return plot.logarithmic() && all.size() > MOST_TICKS
                ? all.stream().filter(tick -> tick.text().matches("[0.]*10*")).toList()
                : all;
    }

    private static Handle handle(Movable part, Plot plot, int height) {
        return new Handle(
                "translate(" + Plot.px(plot.x(part.at())) + " 0)",
                "M0 " + TOP + "V" + (height - BOTTOM),
                part.field(),
                String.join(" ", part.typed()),
                part.places().stream().map(place -> Plot.px(plot.x(place))).collect(Collectors.joining(" ")));
    }
}
