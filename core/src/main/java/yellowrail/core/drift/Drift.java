package yellowrail.core.drift;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Judges the test points of one setting together.
 *
 * <p>Of each point {@code y0 + A exp(-t/tau) + b t} is fitted ({@link DriftFitter}). It <em>creeps</em> where the lower
 * end of the interval of b lies above {@value #ALARM} %/min, and is <em>cleared</em> where the upper end lies below
 * {@value #CLEARED}. A mains that was logged is taken out first. What moves every point alike is told as common, and a
 * point is then judged by what it does beside the others; unless all rise while the plates fall, or further than any
 * mains would take them. A point that accelerates runs away, alone or with all the others.
 */
public final class Drift {

    /** Lower end of the interval of b from which a point creeps, %/min. */
    public static final double ALARM = 0.05;
    /** Upper end below which it is cleared, %/min. */
    public static final double CLEARED = 0.2;
    /** What still settles faster is not steady, %/min. */
    private static final double STILL = 0.1;
    /** Nor is what has so much still to go, %. */
    private static final double TO_GO = 1;
    /** No mains takes the current of every tube up by so much, %. */
    private static final double BEYOND_MAINS = 10;
    /** No tube settles upwards by so much, whatever curve fits, %. */
    private static final double BEYOND_SETTLING = 20;
    /** A growth that every point shares may be the mains below it, %. */
    private static final double GROWTH_BEYOND_MAINS = 6;
    /** Nor, where there is nobody to compare with, one below this, %. */
    private static final double GROWTH_ALONE = 3;
    /** Three of them tell more surely than one beside one: then a difference alone is enough, %/min. */
    private static final int ENOUGH_NEIGHBOURS = 3;

    /** Until then a builder still turns pots without a word, and nobody can tell a creep from that, min. */
    private static final double LEAST_SPAN = 8;
    /** A runaway may be called sooner, min. */
    private static final double LEAST_RUN = 5;

    private static final double ALIKE = 0.6;
    private static final double SCATTER = 0.5;

    private final DriftProblem problem;
    private final List<Judged> points;
    private final Neighbours neighbours;
    private final MainsTaken mains;
    private final boolean allRise;
    private final boolean allFall;

    public Drift(DriftProblem problem) {
        this.problem = problem;
        this.mains = new MainsTaken(problem.mains(), problem.exponent());
        this.points = problem.points().stream()
                .map(series -> Judged.of(series, Curve.of(mains.takenOutOf(series.samples())), problem.noise()))
                .toList();
        this.neighbours = new Neighbours(points, problem.noise());
        List<DriftFit> fits =
                points.stream().flatMap(point -> point.drift().stream()).toList();
        this.allRise = fits.size() > 1 && fits.stream().allMatch(fit -> fit.rateLow() > ALARM);
        this.allFall = fits.size() > 1 && fits.stream().allMatch(fit -> fit.rateHigh() < -ALARM);
    }

    /**
     * What was found.
     *
     * @param points in the order given
     * @param common what moves them all
     */
    public record Result(List<PointDrift> points, Common common) {

        public Result {
            points = List.copyOf(points);
        }
    }

    public Result judge() {
        List<PointDrift> found = new ArrayList<>();
        points.forEach(point -> found.add(judge(point)));
        return new Result(found, common());
    }

    private Common common() {
        if (points.stream().noneMatch(point -> point.drift().isPresent())) {
            return Common.NONE;
        }
        if (mains.moved(Math.max(SCATTER, neighbours.scatter()))) {
            return Common.MAINS;
        }
        boolean together = allRise || allFall || neighbours.scatter() > SCATTER && neighbours.likeness() > ALIKE;
        return together ? Common.SUPPLY : Common.NONE;
    }

    private PointDrift judge(Judged point) {
        if (point.drift().isEmpty()) {
            return new Verdict(point, DriftState.UNKNOWN, Optional.empty()).told();
        }
        DriftFit own = point.drift().get();
        Optional<Neighbours.Beside> apart = points.size() > 1 ? neighbours.difference(point) : Optional.empty();
        Optional<DriftFit> beside = apart.map(Neighbours.Beside::drift);
        boolean shared = allRise || allFall;
        DriftFit judged = shared ? beside.orElse(own) : own;
        if (runsAway(point, apart)) {
            return new Verdict(point, DriftState.RUNNING_AWAY, Optional.of(own)).told();
        }
        if (point.curve().span() < LEAST_SPAN) {
            DriftState early = stateOf(judged, point.curve());
            return new Verdict(point, early == DriftState.STEADY ? DriftState.UNKNOWN : early, Optional.of(judged))
                    .told();
        }
        if (creeps(own, beside)
                || isBeyondMains(own, point.curve())
                || point.curve().rise() > BEYOND_SETTLING) {
            return new Verdict(point, DriftState.CREEPING, Optional.of(own)).told();
        }
        if (sinks(point, own, beside)) {
            return new Verdict(point, DriftState.CREEPING, Optional.of(own)).told();
        }
        return new Verdict(point, stateOf(judged, point.curve()), Optional.of(judged)).told();
    }

    private boolean runsAway(Judged point, Optional<Neighbours.Beside> apart) {
        Growth growth = point.growth().orElseThrow();
        if (!growth.isRunaway(point.curve()) || point.curve().span() < LEAST_RUN) {
            return false;
        }
        return mains.isKnown()
                || growth.percent() > GROWTH_BEYOND_MAINS
                || apart.map(Neighbours.Beside::runsAway).orElse(growth.percent() > GROWTH_ALONE)
                || platesFall();
    }

    private boolean creeps(DriftFit own, Optional<DriftFit> beside) {
        boolean alarm = own.rateLow() > ALARM;
        if (beside.isEmpty()) {
            return alarm;
        }
        boolean apart = beside.get().rateLow() > ALARM;
        boolean farApart = beside.get().rateLow() > CLEARED;
        boolean shared = allRise || allFall;
        if (mains.isKnown() && !shared) {
            return alarm;
        }
        return apart && alarm || farApart && points.size() >= ENOUGH_NEIGHBOURS;
    }

    /** Beside one that takes more and more the plates of all sag: that is no fault of those that sink with them. */
    private boolean sinks(Judged point, DriftFit own, Optional<DriftFit> beside) {
        boolean sagging = points.stream()
                .filter(other -> other != point)
                .flatMap(other -> other.drift().stream())
                .anyMatch(fit -> fit.rateLow() > ALARM);
        return !sagging
                && own.rateHigh() < -CLEARED
                && beside.map(fit -> fit.rateHigh() < -CLEARED).orElse(true);
    }

    /** All rise, and it is neither the mains, under which the plates would rise too, nor could a mains do so much. */
    private boolean isBeyondMains(DriftFit own, Curve curve) {
        return allRise && (platesFall() || own.rateLow() * curve.span() > BEYOND_MAINS);
    }

    private boolean platesFall() {
        Curve plates = Curve.of(problem.plates());
        if (plates.size() < 2) {
            return false;
        }
        LeastSquares line = new LeastSquares(2);
        for (int i = 0; i < plates.size(); i++) {
            line.add(new double[] {1, plates.minutes()[i] - plates.first()}, plates.percent()[i], 1);
        }
        return line.solve().x()[1] * plates.span() < -SCATTER;
    }

    private static DriftState stateOf(DriftFit fit, Curve curve) {
        double end = curve.last();
        double slope = fit.slope(end);
        boolean moves = Math.abs(fit.settlingSlope(end)) > STILL
                || Math.abs(fit.unsettled(end)) > TO_GO
                || Math.abs(slope) > CLEARED;
        if (fit.rateHigh() < CLEARED) {
            return moves ? DriftState.SETTLING : DriftState.STEADY;
        }
        return slope + fit.slopePlusMinus(end) < 0 ? DriftState.SETTLING : DriftState.UNKNOWN;
    }
}
