package yellowrail.core.trace;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.chart.Point;
import yellowrail.core.stage.PlateChart;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;

/**
 * Plate curves of one tube over those of its type, with what was read. SI; current that the plate draws, and the screen
 * where it is tied to it.
 *
 * @param volts right edge, V
 * @param amps upper edge, A
 * @param own its curves, by grid volts; empty while there are too few points
 * @param typical its type\u2019s; empty where it has no model
 * @param rating where the plate dissipation is reached
 */
public record TraceChart(
        double volts, double amps, List<PlateChart.Curve> own, List<PlateChart.Curve> typical, List<Point> rating) {

    private static final int POINTS = 60;
    private static final double ROUND = 50;
    private static final double ROOM = 1.15;
    private static final int MOST_CURVES = 9;

    /**
     * @param plan what is to be read
     * @param points that were read at the same screen volts
     * @param ratedWatts of the plate
     */
    public static TraceChart of(
            Optional<TubeModel> own,
            Optional<TubeModel> typical,
            TracePlan plan,
            List<TracedPoint> points,
            OptionalDouble screen,
            double ratedWatts) {
        double volts = ROUND
                * Math.ceil(ROOM
                        * Stream.concat(
                                        plan.steps().stream().map(TracePlan.Step::plate),
                                        points.stream().map(TracedPoint::plate))
                                .reduce(ROUND, Math::max)
                        / ROUND);
        double amps = ROOM
                * Stream.concat(
                                plan.steps().stream().map(TracePlan.Step::expected),
                                points.stream().map(TracedPoint::amps))
                        .reduce(1e-3, Math::max);
        List<Double> grids = grids(plan, points);
        return new TraceChart(
                volts,
                amps,
                own.map(model -> curves(model, grids, screen, volts)).orElse(List.of()),
                typical.map(model -> curves(model, grids, screen, volts)).orElse(List.of()),
                PlateChart.rating(ratedWatts, volts, amps));
    }

    /** Those of the plan, else those that were read; not so many that one cannot tell them apart. */
    private static List<Double> grids(TracePlan plan, List<TracedPoint> points) {
        List<Double> all = (plan.steps().isEmpty()
                        ? points.stream().map(TracedPoint::grid)
                        : plan.steps().stream().map(TracePlan.Step::grid))
                .distinct()
                .sorted()
                .toList();
        int each = (all.size() + MOST_CURVES - 1) / MOST_CURVES;
        List<Double> some = new ArrayList<>();
        for (int i = all.size() - 1; i >= 0; i -= Math.max(1, each)) {
            some.add(all.get(i));
        }
        return some;
    }

    private static List<PlateChart.Curve> curves(
            TubeModel model, List<Double> grids, OptionalDouble screen, double volts) {
        return grids.stream()
                .map(grid -> new PlateChart.Curve(grid, curve(model, grid, screen, volts)))
                .toList();
    }

    /** Close steps at the knee, wide ones beyond it. */
    private static List<Point> curve(TubeModel model, double grid, OptionalDouble screen, double volts) {
        List<Point> points = new ArrayList<>();
        for (int i = 1; i <= POINTS; i++) {
            double plate = volts * Math.pow((double) i / POINTS, 2);
            TracedPoint there = new TracedPoint(plate, screen, grid, 0, OptionalDouble.empty());
            points.add(new Point(plate, there.by(model)));
        }
        return points;
    }
}
