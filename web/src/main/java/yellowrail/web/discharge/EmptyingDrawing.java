package yellowrail.web.discharge;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import yellowrail.core.capacitor.Emptying;
import yellowrail.core.chart.Point;
import yellowrail.core.discharge.DischargeWalk;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;

/**
 * How the capacitors empty by themselves, in SVG coordinates: volts over minutes, the 5 V line below which a hand may
 * go in.
 */
record EmptyingDrawing(
        Plot frame, List<Plot.Tick> across, List<Plot.Tick> up, List<Curve> curves, String safe, Place safeAt) {

    private static final int POINTS = 120;
    private static final double LEAST = 60;
    private static final double MOST = 3600;
    /** The scale is logarithmic from one volt on: what empties through a resistor is a straight line. */
    private static final int DECADES = 3;
    /** Labels stand along their curves, one after another. */
    private static final double FIRST_LABEL = 0.08;

    private static final double NEXT_LABEL = 0.13;

    /** A capacitor. */
    record Curve(String label, String path, Place at) {}

    static EmptyingDrawing of(Emptying emptying) {
        double longest = emptying.vessels().stream()
                .map(vessel -> emptying.seconds(vessel.label(), DischargeWalk.SAFE))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .max()
                .orElse(MOST);
        double until = Math.min(MOST, Math.max(LEAST, 1.3 * longest));
        Plot plot = new Plot(560, 300, 54, 20, 20, 40, 0, until, 0, DECADES, false);
        List<Curve> curves = new ArrayList<>();
        for (Emptying.Vessel vessel : emptying.vessels()) {
            List<Point> points = IntStream.rangeClosed(0, POINTS)
                    .mapToObj(i -> at(emptying, vessel, until * i / POINTS))
                    .toList();
            double labelled = until * (FIRST_LABEL + NEXT_LABEL * (curves.size() % 7));
            curves.add(new Curve(vessel.label(), plot.line(points), plot.place(at(emptying, vessel, labelled), 4, -6)));
        }
        double safe = Math.log10(DischargeWalk.SAFE);
        return new EmptyingDrawing(
                plot,
                plot.across(6, 1.0 / 60),
                IntStream.rangeClosed(0, DECADES)
                        .mapToObj(power -> new Plot.Tick(
                                Plot.px(plot.y(power)), String.valueOf((int) Math.pow(10, power)), plot.level(power)))
                        .toList(),
                curves,
                plot.level(safe),
                Place.of(plot.x(until) - 4, plot.y(safe) - 6));
    }

    private static Point at(Emptying emptying, Emptying.Vessel vessel, double seconds) {
        double volts = Math.abs(emptying.volts(vessel.label(), seconds));
        return new Point(seconds, Math.max(0, Math.min(DECADES, Math.log10(Math.max(1, volts)))));
    }
}
