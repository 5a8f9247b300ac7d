package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;
import yellowrail.core.root.UnsettledException;

/**
 * Full drive over a range of one quantity, the rest as it is; where no operating point is found the sweep has a gap.
 *
 * @param points in rising order of the quantity
 */
public record Sweep(List<Point> points) {

    /** 64 phase steps give the same as 256 to three decimals. */
    private static final int STEPS = 64;

    /**
     * One of them; ratios over the fundamental.
     *
     * @param at what was varied: the load, ohm, or the idle plate current of a tube, A
     */
    public record Point(
            double at,
            double watts,
            double distortion,
            double second,
            double third,
            double plateWatts,
            double screenWatts,
            double peakPlateVolts,
            double idleAmps,
            double gridVolts) {

        static Point of(double at, Performance found) {
            return new Point(
                    at,
                    found.powerWatts(),
                    found.distortion(),
                    found.harmonics().get(0),
                    found.harmonics().get(1),
                    found.plateWatts(),
                    found.screenWatts(),
                    found.peakPlateVolts(),
                    found.idle().plateAmps(),
                    found.idle().gridVolts());
        }
    }

    public Sweep {
        points = List.copyOf(points);
    }

    /** Over loads, in equal ratios. */
    public static Sweep loads(OutputStage stage, double from, double to, int count) {
        return of(
                IntStream.range(0, count)
                        .mapToDouble(i -> from * Math.pow(to / from, (double) i / (count - 1)))
                        .toArray(),
                stage::withLoad);
    }

    /** Over the idle plate current of a tube, with fixed bias at the same voltages, in equal steps. */
    public static Sweep idles(OutputStage stage, double from, double to, int count) {
        return of(
                IntStream.range(0, count)
                        .mapToDouble(i -> from + (to - from) * i / (count - 1))
                        .toArray(),
                amps -> stage.with(OutputStage.Bias.fixed(stage.gridFor(amps))));
    }

    private static Sweep of(double[] values, DoubleFunction<OutputStage> stages) {
        List<Point> points = new ArrayList<>();
        Optional<UnsettledException> unsettled = Optional.empty();
        for (double value : values) {
            try {
                points.add(Point.of(value, new FullDrive(stages.apply(value), STEPS).compute()));
            } catch (UnsettledException e) {
                unsettled = Optional.of(e);
            }
        }
        if (points.size() < 2) {
            throw unsettled.orElseThrow();
        }
        return new Sweep(points);
    }

    public Point best() {
        return points.stream()
                .max((one, other) -> Double.compare(one.watts(), other.watts()))
                .orElseThrow();
    }

    /** The range of the quantity over which the power stays within a part of its greatest; the top is flat. */
    public double[] within(double part) {
        double least = (1 - part) * best().watts();
        DoubleSummaryStatistics range = points.stream()
                .filter(point -> point.watts() >= least)
                .mapToDouble(Point::at)
                .summaryStatistics();
        return new double[] {range.getMin(), range.getMax()};
    }
}
