package yellowrail.web.ring;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.core.ring.RingTrace;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.ring.RingService.Heard;

/**
 * A recording of taps in SVG coordinates: what was heard as a line, each tap marked, each ring as it was fitted.
 *
 * @param taps where something was struck
 */
record TapsView(Plot frame, List<Tick> across, List<Tick> up, String line, List<String> taps, List<Fitted> rings) {

    private static final int COLUMNS = 500;
    private static final double DEPTH = 20;

    /** @param at where its name stands */
    record Fitted(String path, Place at, String name) {}

    static TapsView of(Heard heard) {
        RingTrace trace = RingTrace.of(heard.samples(), heard.sound().hertz(), heard.taps(), COLUMNS);
        double top = trace.heard().stream().mapToDouble(Point::y).max().orElse(0);
        double bottom = trace.heard().stream().mapToDouble(Point::y).min().orElse(-100);
        Plot plot = new Plot(
                760,
                340,
                52,
                20,
                40,
                40,
                0,
                heard.sound().seconds(),
                DEPTH * Math.floor(bottom / DEPTH),
                10 * Math.ceil((top + 6) / 10),
                false);
        List<Fitted> rings = new ArrayList<>();
        for (int i = 0; i < trace.fitted().size(); i++) {
            List<Point> line = trace.fitted().get(i);
            rings.add(new Fitted(
                    plot.line(line),
                    plot.place(line.get(0), 4, -12),
                    Figures.fixed(heard.taps().rings().get(i).hertz(), 0) + " Hz"));
        }
        return new TapsView(
                plot,
                plot.across(8, 1),
                plot.up(6, 1),
                plot.line(trace.heard()),
                heard.taps().struck().stream().map(plot::upright).toList(),
                rings);
    }
}
