package yellowrail.web.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;

/**
 * A field of a drawing and the data it shows.
 *
 * @param width of the drawing, px
 * @param height of the drawing, px
 * @param left margin, px
 * @param right margin, px
 * @param top margin, px
 * @param bottom margin, px
 * @param fromX at the left edge, data units
 * @param toX at the right edge
 * @param fromY at the lower edge
 * @param toY at the upper edge
 * @param logarithmic whether x runs in equal ratios
 */
public record Plot(
        int width,
        int height,
        int left,
        int right,
        int top,
        int bottom,
        double fromX,
        double toX,
        double fromY,
        double toY,
        boolean logarithmic) {

    /** A line of the scale; {@code path} draws it over the whole field. */
    public record Tick(String at, String text, String path) {}

    public double x(double value) {
        double part = logarithmic ? Math.log(value / fromX) / Math.log(toX / fromX) : (value - fromX) / (toX - fromX);
        return left + (width - left - right) * part;
    }

    public double y(double value) {
        return height - bottom - (height - top - bottom) * (value - fromY) / (toY - fromY);
    }

    /**
     * Its size and its margins, for a script that works on the same drawing: width, height, left, right, top, bottom.
     */
    public String handed() {
        return "%d %d %d %d %d %d".formatted(width, height, left, right, top, bottom);
    }

    /** A line over the whole height. */
    public String upright(double x) {
        return "M" + px(x(x)) + " " + top + "V" + (height - bottom);
    }

    /** A line over the whole width. */
    public String level(double y) {
        return "M" + left + " " + px(y(y)) + "H" + (width - right);
    }

    /** The left and the lower edge. */
    public String axes() {
        return "M%d %dV%dH%d".formatted(left, top, height - bottom, width - right);
    }

    /** The same with the right edge, where a second scale stands. */
    public String bothAxes() {
        return axes() + "V" + top;
    }

    /** The part of a drawing that is shown. */
    public String viewBox() {
        return "0 0 %d %d".formatted(width, height);
    }

    public Place place(Point point) {
        return place(point, 0, 0);
    }

    /** Beside a point: so far to the right and so far down, px. */
    public Place place(Point point, double right, double down) {
        return Place.of(x(point.x()) + right, y(point.y()) + down);
    }

    /** A cross at a point whose arms are as long as it is unsure, data units. */
    public String cross(Point point, double acrossPlusMinus, double upPlusMinus) {
        return "M%s %sH%sM%s %sV%s"
                .formatted(
                        px(x(point.x() - acrossPlusMinus)),
                        px(y(point.y())),
                        px(x(point.x() + acrossPlusMinus)),
                        px(x(point.x())),
                        px(y(point.y() - upPlusMinus)),
                        px(y(point.y() + upPlusMinus)));
    }

    public double distance(Point one, Point other) {
        return Math.hypot(x(one.x()) - x(other.x()), y(one.y()) - y(other.y()));
    }

    public String line(List<Point> points) {
        return points.stream()
                .map(point -> px(x(point.x())) + " " + px(y(point.y())))
                .collect(Collectors.joining(" L", "M", ""));
    }

    /** To a tenth of a pixel; written without a formatter, for a page has a thousand of them. */
    public static String px(double value) {
        return String.valueOf(Math.round(10 * value) / 10.0);
    }

    /** Round values along x; {@code in} takes data units to what is written. */
    public List<Tick> across(int about, double in) {
        List<Double> values = logarithmic ? decades(in) : steps(fromX * in, toX * in, about);
        return values.stream()
                .map(value -> new Tick(
                        px(x(value / in)), logarithmic ? Figures.plain(value) : written(value), upright(value / in)))
                .toList();
    }

    public List<Tick> up(int about, double in) {
        return steps(fromY * in, toY * in, about).stream()
                .map(value -> new Tick(px(y(value / in)), written(value), level(value / in)))
                .toList();
    }

    private static String written(double value) {
        return Math.abs(value - Math.rint(value)) < 1e-9 ? String.valueOf(Math.round(value)) : Figures.fixed(value, 1);
    }

    private List<Double> decades(double in) {
        List<Double> values = new ArrayList<>();
        for (double decade = Math.pow(10, Math.floor(Math.log10(fromX * in))); decade <= toX * in; decade *= 10) {
            for (double step : new double[] {1, 2, 5}) {
                if (decade * step >= fromX * in * (1 - 1e-9) && decade * step <= toX * in * (1 + 1e-9)) {
                    values.add(decade * step);
                }
            }
        }
        return values;
    }

    private static List<Double> steps(double from, double to, int about) {
        double raw = (to - from) / about;
        double magnitude = Math.pow(10, Math.floor(Math.log10(raw)));
        double step =
                magnitude * (raw / magnitude < 1.5 ? 1 : raw / magnitude < 3.5 ? 2 : raw / magnitude < 7.5 ? 5 : 10);
        List<Double> ticks = new ArrayList<>();
        for (double at = Math.ceil(from / step - 1e-9) * step; at <= to + 1e-9; at += step) {
            ticks.add(at);
        }
        return ticks;
    }
}
