package yellowrail.core.tube.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** The parameters of a model that meet the traced points of one tube best. */
final class TraceFit {

    /** What a current read by hand deserves: a part of it, and A. */
    private static final double PART = 0.02;

    private static final double LEAST = 0.0002;
    private static final double SCREEN_PART = 0.08;
    /** How far, as a ratio, a tube may lie from its type: mu, ex, kg1, kp, kvb and of a pentode early, kg2, f. */
    private static final double[] PENTODE = {0.08, 0.03, 0.25, 0.25, 0.3, 0.4, 0.3, 0.5};

    private static final double[] TRIODE = {0.08, 0.03, 0.25, 0.25, 0.6};
    /** Of a triode that nothing is known of the amplification may be anything that there is. */
    private static final double[] AMPLIFICATIONS = {4, 9, 20, 45, 100};

    private final TubeModel from;
    private final double[] latitude;
    private final List<TracedPoint> points;

    private TraceFit(TubeModel from, double[] latitude, List<TracedPoint> points) {
        this.from = from;
        this.latitude = latitude;
        this.points = points;
    }

    /** @throws org.hipparchus.exception.MathIllegalStateException if it does not settle within its evaluations */
    static TubeModel settled(Optional<TubeModel> typical, List<TracedPoint> points) {
        return starts(typical, points)
                .map(TraceFit::settle)
                .min(Comparator.comparingDouble(Settled::cost))
                .orElseThrow()
                .model();
    }

    private static Stream<TraceFit> starts(Optional<TubeModel> typical, List<TracedPoint> points) {
        if (typical.isPresent()) {
            return Stream.of(new TraceFit(typical.get(), typical.get().isTriode() ? TRIODE : PENTODE, points));
        }
        return points.stream().anyMatch(point -> point.screen().isPresent())
                ? Stream.of(new TraceFit(PentodeFit.usual(), PentodeFit.latitude(), points))
                : DoubleStream.of(AMPLIFICATIONS)
                        .mapToObj(mu -> new TraceFit(TriodeFit.usual(mu), TriodeFit.latitude(), points));
    }

    /** A fit and how much is left of its residuals. */
    private record Settled(TubeModel model, double cost) {}

    private Settled settle() {
        double[] at = new LogLeastSquares(latitude.length, this::residuals).settle();
        return new Settled(
                from.moved(at), DoubleStream.of(residuals(at)).map(r -> r * r).sum());
    }

    private double[] residuals(double[] x) {
        TubeModel model = from.moved(x);
        List<Double> residuals = new ArrayList<>();
        for (TracedPoint point : points) {
            residuals.add((point.by(model) - point.amps()) / Math.hypot(PART * point.amps(), LEAST));
            point.screenAmps()
                    .ifPresent(amps ->
                            residuals.add((model.screenCurrent(point.plate(), point.pull(), point.grid()) - amps)
                                    / Math.hypot(SCREEN_PART * amps, LEAST)));
        }
        for (int i = 0; i < x.length; i++) {
            residuals.add(x[i] / latitude[i]);
        }
        return residuals.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
