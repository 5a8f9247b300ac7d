package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;
import yellowrail.core.root.UnsettledException;

/**
 * Full drive over a range of one quantity, the rest as it is; where no operating point is found, or where the answer
 * jumps, the sweep is broken, and that is told.
 *
 * @param points in rising order of the quantity
 * @param breaks where they do not hang together
 */
public record Sweep(List<Point> points, List<Break> breaks) {

    /** 64 phase steps give the same as 256 to three decimals. */
    private static final int STEPS = 64;

    /** Neighbours farther apart than this part of the greatest power are looked between. */
    private static final double FAR = 0.2;

    private static final int HALVINGS = 6;
    /** What is still that far apart after them is a jump. */
    private static final double STILL = 0.6;

    /**
     * Where a sweep is broken.
     *
     * @param jump whether there is an answer on either side, and not one between; else there is none
     */
    public record Break(double from, double to, boolean jump) {}

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
        breaks = List.copyOf(breaks);
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
        return through(values, value -> {
            try {
                return Optional.of(Point.of(value, new FullDrive(stages.apply(value), STEPS).compute()));
            } catch (UnsettledException e) {
                return Optional.empty();
            }
        });
    }

    /** @param computed empty where no operating point is found */
    static Sweep through(double[] values, DoubleFunction<Optional<Point>> computed) {
        List<Point> points = new ArrayList<>();
        List<Break> breaks = new ArrayList<>();
        double open = Double.NaN;
        List<Optional<Point>> all =
                Arrays.stream(values).parallel().mapToObj(computed).toList();
        for (int i = 0; i < values.length; i++) {
            double value = values[i];
            Optional<Point> found = all.get(i);
            if (found.isEmpty()) {
                open = Double.isNaN(open) ? value : open;
                continue;
            }
            if (!Double.isNaN(open)) {
                breaks.add(new Break(open, value, false));
                open = Double.NaN;
            }
            points.add(found.get());
        }
        if (!Double.isNaN(open)) {
            breaks.add(new Break(open, values[values.length - 1], false));
        }
        if (points.size() < 2) {
            throw new UnsettledException(values.length);
        }
        breaks.addAll(jumps(points, computed));
        return new Sweep(points, breaks);
    }

    /** Where two neighbours lie far apart and what is between them does not bring them nearer. */
    private static List<Break> jumps(List<Point> points, DoubleFunction<Optional<Point>> computed) {
        double most = points.stream().mapToDouble(Point::watts).max().orElseThrow();
        List<Break> jumps = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            Point low = points.get(i - 1);
            Point high = points.get(i);
            double apart = apart(low, high);
            for (int halving = 0; halving < HALVINGS && apart(low, high) > FAR * most; halving++) {
                Optional<Point> middle = computed.apply(Math.sqrt(low.at() * high.at()));
                if (middle.isEmpty()) {
                    break;
                }
                boolean below = apart(low, middle.get()) > apart(middle.get(), high);
                high = below ? middle.get() : high;
                low = below ? low : middle.get();
            }
            if (apart > FAR * most && apart(low, high) > STILL * apart) {
                jumps.add(new Break(low.at(), high.at(), true));
            }
        }
        return jumps;
    }

    private static double apart(Point one, Point other) {
        return Math.abs(one.watts() - other.watts());
    }

    /** The points in stretches that hang together. */
    public List<List<Point>> stretches() {
        List<List<Point>> stretches = new ArrayList<>();
        List<Point> stretch = new ArrayList<>();
        for (Point point : points) {
            double before = stretch.isEmpty()
                    ? point.at()
                    : stretch.get(stretch.size() - 1).at();
            if (breaks.stream()
                    .anyMatch(each -> each.from() >= before && each.from() <= point.at() && before < point.at())) {
                stretches.add(List.copyOf(stretch));
                stretch.clear();
            }
            stretch.add(point);
        }
        stretches.add(List.copyOf(stretch));
        return stretches;
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
