package yellowrail.core.drift;

import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;

/**
 * Puts together what is told of a point whose state is known: its rate, when it reaches the limit, when to ask again.
 */
final class Verdict {

    /** When a builder reads by hand, min. */
    private static final double[] TIMES = {3, 5, 8, 10, 15, 20, 30, 45, 60, 90, 120};
    /** Farther ahead nobody waits for a limit, min. */
    private static final double FAR = 24 * 60;
    /** An interval of b of so much, either way, decides between creeping and cleared, %/min. */
    private static final double DECIDES = 0.12;
    /** How soon a creep is looked at again, min. */
    private static final double SOON = 5;

    private final Judged point;
    private final DriftState state;
    private final Optional<DriftFit> judged;

    /** @param judged the fit that decided; empty where there are too few readings for one */
    Verdict(Judged point, DriftState state, Optional<DriftFit> judged) {
        this.point = point;
        this.state = state;
        this.judged = judged;
    }

    PointDrift told() {
        boolean runs = state == DriftState.RUNNING_AWAY;
        Growth growth = point.growth().orElse(null);
        double rate = runs ? growth.slope() : judged.map(DriftFit::rate).orElse(Double.NaN);
        double low = runs
                ? growth.slope() - growth.slopePlusMinus()
                : judged.map(DriftFit::rateLow).orElse(Double.NaN);
        double high = runs
                ? growth.slope() + growth.slopePlusMinus()
                : judged.map(DriftFit::rateHigh).orElse(Double.NaN);
        return new PointDrift(
                point.series().label(),
                state,
                rate,
                low,
                high,
                toLimit(rate, DriftFit::rate),
                toLimit(high, DriftFit::rateHigh),
                toLimit(low, DriftFit::rateLow),
                askAgain(),
                point.stepAt(),
                point.step().map(Step::percent).orElse(0.0),
                trace(),
                point.notes());
    }

    private double now() {
        Curve curve = point.curve();
        if (curve.size() == 0) {
            return Double.NaN;
        }
        return state == DriftState.RUNNING_AWAY
                ? point.growth().orElseThrow().at(curve.last())
                : point.drift().map(fit -> fit.at(curve.last())).orElse(curve.percent()[curve.size() - 1]);
    }

    /**
     * What moves every point alike is no tube's fault, and takes its plate to the rating all the same: then its own
     * drift counts.
     */
    private OptionalDouble toLimit(double told, ToDoubleFunction<DriftFit> own) {
        if (point.series().limit().isEmpty() || point.curve().size() == 0) {
            return OptionalDouble.empty();
        }
        double limit = point.series().limit().getAsDouble();
        double toGo = 100 * (limit / point.curve().middle() - 1) - now();
        if (toGo <= 0 || lastRead() >= limit) {
            return OptionalDouble.of(0);
        }
        boolean rises = point.drift().map(fit -> fit.rateLow() > Drift.ALARM).orElse(false);
        double rate = state.isTrouble() || !rises
                ? told
                : own.applyAsDouble(point.drift().orElseThrow());
        if (!state.isTrouble() && !rises || !(rate > 0)) {
            return OptionalDouble.empty();
        }
        double minutes = state == DriftState.RUNNING_AWAY
                ? growing(toGo, rate, point.growth().orElseThrow())
                : toGo / rate;
        return minutes < FAR ? OptionalDouble.of(minutes) : OptionalDouble.empty();
    }

    /** As it stood on the meter, whatever the mains had to do with it. */
    private double lastRead() {
        return point.series().samples().stream()
                .max(Comparator.comparingDouble(Sample::minutes))
                .map(Sample::value)
                .orElse(0.0);
    }

    /** When a growth that is now so fast has gone so far. */
    private static double growing(double toGo, double rate, Growth growth) {
        return growth.efold() * Math.log1p(toGo / (rate * growth.efold()));
    }

    private OptionalDouble askAgain() {
        Curve curve = point.curve();
        if (curve.size() == 0) {
            return OptionalDouble.of(0);
        }
        double last = curve.last();
        return switch (state) {
            case RUNNING_AWAY -> OptionalDouble.of(last);
            case CREEPING -> OptionalDouble.of(last + SOON);
            case STEADY, SETTLING, UNKNOWN -> next(curve, last);
        };
    }

    /** The first of the usual times at which the readings will have decided; the next of them where none will. */
    private OptionalDouble next(Curve curve, double last) {
        double origin = curve.first();
        double[] times = DoubleStream.of(TIMES)
                .map(time -> time + origin)
                .filter(time -> time > last)
                .toArray();
        if (times.length == 0 || state == DriftState.STEADY) {
            return times.length == 0 ? OptionalDouble.of(last + 60) : OptionalDouble.of(times[0]);
        }
        Noise noise = judged.map(DriftFit::noise)
                .orElseGet(() -> new Noise.Source(OptionalDouble.empty(), 0).of(new double[0], 0));
        double spacing = curve.size() > 1 ? curve.span() / (curve.size() - 1) : 1;
        for (double time : times) {
            double[] until = DoubleStream.concat(
                            DoubleStream.of(curve.minutes()),
                            DoubleStream.iterate(last + spacing, each -> each < time, each -> each + spacing)
                                    .limit(Curve.MOST))
                    .toArray();
            double[] all = DoubleStream.concat(DoubleStream.of(until), DoubleStream.of(time))
                    .toArray();
            if (all.length >= Judged.FEWEST && DriftFitter.reach(all, noise) < DECIDES) {
                return OptionalDouble.of(time);
            }
        }
        return OptionalDouble.of(times[times.length - 1]);
    }

    private Trace trace() {
        Curve curve = point.curve();
        if (judged.isEmpty() || point.drift().isEmpty()) {
            return Trace.NONE;
        }
        DriftFit own = point.drift().get();
        double unit = curve.middle() / 100;
        boolean runs = state == DriftState.RUNNING_AWAY;
        Growth growth = point.growth().orElseThrow();
        return Trace.of(
                curve.first(),
                curve.last(),
                at -> curve.middle() + unit * (runs ? growth.at(at) : own.at(at)),
                at -> unit * own.band(at));
    }
}
