package yellowrail.web.chart;

import static yellowrail.web.chart.Plot.px;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.PlateChart;

/** A plate curve with the grid volts at its end; blank where there is no room for them. */
public record PlateCurve(String path, String label, Place at) {

    /** Labels nearer than this would run into one another, px. */
    private static final double LABEL = 15;

    /** @param outside whether the labels stand right of the field, else over the ends of the curves */
    public static List<PlateCurve> of(
            List<PlateChart.Curve> curves, double volts, double amps, Plot plot, boolean outside) {
        List<PlateCurve> drawn = new ArrayList<>();
        double above = Double.NEGATIVE_INFINITY;
        for (PlateChart.Curve curve : curves) {
            List<Point> shown =
                    curve.points().stream().filter(point -> point.y() <= amps).toList();
            if (shown.size() > 1) {
                Point last = shown.get(shown.size() - 1);
                boolean out = last.x() < volts;
                double y = plot.y(last.y());
                boolean room = out ? !outside && plot.x(last.x()) > plot.left() + 2 * LABEL : y - above > LABEL;
                above = out || !room ? above : y;
                drawn.add(new PlateCurve(
                        plot.line(curve.points()),
                        room ? Figures.plain(curve.gridVolts()) + " V" : "",
                        outside ? plot.place(last, 4, 5) : plot.place(last, out ? 0 : -4, out ? 12 : -5)));
            }
        }
        return drawn;
    }

    /** The field over a rating, closed. */
    public static String beyond(List<Point> rating, double volts, double amps, Plot plot) {
        return plot.line(rating)
                + " L%s %s L%s %s Z"
                        .formatted(
                                px(plot.x(volts)),
                                px(plot.y(amps)),
                                px(plot.x(rating.get(0).x())),
                                px(plot.y(amps)));
    }
}
