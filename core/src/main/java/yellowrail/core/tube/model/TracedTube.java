package yellowrail.core.tube.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalStateException;

/**
 * A model of one tube by points of its own curves. Where its type has a model the fit starts there and stays as near as
 * tubes of one type do, in what no point tells; else it starts at what is usual and has all its latitude.
 *
 * @param model fitted
 * @param points it rests on
 * @param off how far the model lies from them, root of the mean square, A
 * @param unseen how far a model without them lies from a fifth of the points, the same over all fifths, A; empty where
 *     so few would remain that there is none
 * @param worst the point that it meets least
 * @param plate volts the points span
 * @param grid volts they span
 */
public record TracedTube(
        TubeModel model, int points, double off, OptionalDouble unseen, TracedPoint worst, Span plate, Span grid) {

    /** Fewer tell how much a tube draws and amplifies, which {@link OwnTube} makes of them. */
    public static final int FEWEST = 5;

    /** Where its type has no model. */
    public static final int FEWEST_ALONE = 8;

    private static final int FOLDS = 5;

    /** From where to where, V. */
    public record Span(double from, double to) {

        private static Span of(List<TracedPoint> points, ToDoubleFunction<TracedPoint> volts) {
            return new Span(
                    points.stream().mapToDouble(volts).min().orElseThrow(),
                    points.stream().mapToDouble(volts).max().orElseThrow());
        }
    }

    /** @return empty where the points are too few, or all of one grid voltage, or nothing settles */
    public static Optional<TracedTube> of(Optional<TubeModel> typical, List<TracedPoint> points) {
        int fewest = typical.isPresent() ? FEWEST : FEWEST_ALONE;
        if (points.size() < fewest
                || points.stream().mapToDouble(TracedPoint::grid).distinct().count() < 2
                || points.stream().noneMatch(point -> point.amps() > 0)) {
            return Optional.empty();
        }
        try {
            TubeModel model = TraceFit.settled(typical, points);
            return Optional.of(new TracedTube(
                    model,
                    points.size(),
                    rms(points.stream().mapToDouble(point -> miss(model, point))),
                    unseen(typical, points, fewest),
                    points.stream()
                            .max(Comparator.comparingDouble(point -> Math.abs(miss(model, point))))
                            .orElseThrow(),
                    Span.of(points, TracedPoint::plate),
                    Span.of(points, TracedPoint::grid)));
        } catch (MathIllegalStateException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** Of the point that is met least, as a part of the greater of what was read and what is computed. */
    double worstError() {
        return Math.abs(miss(model, worst)) / Math.max(worst.by(model), worst.amps());
    }

    /** Every fifth point is left out and told by the others. */
    private static OptionalDouble unseen(Optional<TubeModel> typical, List<TracedPoint> points, int fewest) {
        if (points.size() - (points.size() + FOLDS - 1) / FOLDS < fewest) {
            return OptionalDouble.empty();
        }
        List<Double> misses = new ArrayList<>();
        for (int fold = 0; fold < FOLDS; fold++) {
            int left = fold;
            TubeModel without = TraceFit.settled(
                    typical,
                    IntStream.range(0, points.size())
                            .filter(i -> i % FOLDS != left)
                            .mapToObj(points::get)
                            .toList());
            IntStream.range(0, points.size())
                    .filter(i -> i % FOLDS == left)
                    .forEach(i -> misses.add(miss(without, points.get(i))));
        }
        return OptionalDouble.of(rms(misses.stream().mapToDouble(Double::doubleValue)));
    }

    private static double miss(TubeModel model, TracedPoint point) {
        return point.by(model) - point.amps();
    }

    private static double rms(DoubleStream misses) {
        return Math.sqrt(misses.map(miss -> miss * miss).average().orElseThrow());
    }
}
