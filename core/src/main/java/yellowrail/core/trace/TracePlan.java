package yellowrail.core.trace;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;

/**
 * Which points to read of a tube: grids from the coldest up, plates from the lowest up, none where a usual tube of the
 * type would come near a rating, so that a stronger one does not pass it.
 *
 * @param steps in the order to read them
 */
public record TracePlan(List<Step> steps) {

    /** The tube stays, as expected, below this part of every rating; another may draw half as much again. */
    private static final double PART = 0.65;

    /** From the usual down: the first that leaves enough points. */
    private static final double[] SCREENS = {250, 200, 150, 100};

    private static final double SCREEN_PART = 0.85;
    private static final double LEAST_AMPS = 0.002;
    private static final int GRIDS = 6;
    /** Closer grids only where wide ones leave fewer points. */
    private static final int ENOUGH = 14;

    private static final double[] PENTODE_PLATES = {40, 80, 150, 250, 350};
    private static final double[] TRIODE_PLATES = {80, 120, 160, 200, 250, 300, 350, 400};
    private static final double[] GRID_STEPS = {0.5, 1, 2, 2.5, 4, 5, 8, 10, 15, 20};
    /** A point stands for another that is so near, as a part of its volts. */
    private static final double NEAR = 0.03;

    private static final double NEAR_GRID = 0.3;
    private static final double NO_LIMIT = Double.POSITIVE_INFINITY;

    /**
     * A point to read.
     *
     * @param screen empty where there is none, or it is tied to the plate
     * @param expected by the model, A
     * @param limit more than this a rating does not allow there, A
     * @param taken whether it, or one beside it, is read already
     */
    public record Step(double plate, OptionalDouble screen, double grid, double expected, double limit, boolean taken) {

        /** So many times what is expected is another tube, or another circuit. */
        private static final double TOO_MUCH = 2;

        /** At more one goes back, A. */
        public double stop() {
            return Math.min(limit, TOO_MUCH * expected);
        }

        public boolean isLimited() {
            return limit <= TOO_MUCH * expected;
        }
    }

    /**
     * What is on the stand.
     *
     * @param usual by which the steps are chosen: they stay the same while the tube becomes known
     * @param expected by which one says what will flow
     * @param tied whether the screen is tied to the plate
     */
    public record Stand(TubeType type, TubeModel usual, TubeModel expected, boolean tied) {

        private boolean hasScreen() {
            return !usual.isTriode() && !tied;
        }
    }

    public TracePlan {
        steps = List.copyOf(steps);
    }

    /** @param screen V that the builder’s supply holds it at; empty for the usual */
    public static TracePlan of(Stand stand, OptionalDouble screen, List<TracedPoint> taken) {
        if (!stand.hasScreen()) {
            return new Steps(stand, OptionalDouble.empty(), taken).plan(TRIODE_PLATES);
        }
        if (screen.isPresent()) {
            return new Steps(stand, screen, taken).plan(PENTODE_PLATES);
        }
        double most = stand.type().customaryRating().screenVolts().orElse(NO_LIMIT);
        List<TracePlan> plans = DoubleStream.of(SCREENS)
                .filter(volts -> volts <= SCREEN_PART * most)
                .mapToObj(volts -> new Steps(stand, OptionalDouble.of(volts), taken).plan(PENTODE_PLATES))
                .toList();
        return plans.stream()
                .filter(plan -> plan.steps().size() >= ENOUGH)
                .findFirst()
                .or(() -> plans.stream()
                        .max(Comparator.comparingInt(plan -> plan.steps().size())))
                .orElse(new TracePlan(List.of()));
    }

    /** The first that is not read yet. */
    public Optional<Step> next() {
        return steps.stream().filter(step -> !step.taken()).findFirst();
    }

    /** Steps at one screen voltage. */
    private record Steps(Stand stand, OptionalDouble screen, List<TracedPoint> taken) {

        TracePlan plan(double[] plates) {
            double coldest =
                    screen.orElse(plates[plates.length - 1]) / stand.usual().mu();
            List<Step> steps = List.of();
            for (int i = GRID_STEPS.length - 1; i >= 0 && steps.size() < ENOUGH; i--) {
                if (GRID_STEPS[i] <= coldest / GRIDS) {
                    steps = every(GRID_STEPS[i], coldest, plates);
                }
            }
            return new TracePlan(steps);
        }

        private List<Step> every(double grid, double coldest, double[] plates) {
            List<Step> steps = new ArrayList<>();
            for (int i = (int) Math.ceil(coldest / grid); i >= 0; i--) {
                for (double plate : plates) {
                    if (isSafe(stand.usual(), plate, -i * grid) && isSafe(stand.expected(), plate, -i * grid)) {
                        steps.add(step(plate, -i * grid));
                    }
                }
            }
            return steps;
        }

        private Step step(double plate, double grid) {
            TubeModel model = stand.expected();
            return new Step(
                    plate,
                    screen,
                    grid,
                    point(plate, grid).by(model),
                    limit(model, plate, grid),
                    taken.stream().anyMatch(point -> isNear(point, plate, grid)));
        }

        private TracedPoint point(double plate, double grid) {
            return new TracedPoint(plate, screen, grid, 0, OptionalDouble.empty());
        }

        private boolean isSafe(TubeModel model, double plate, double grid) {
            Rating rating = stand.type().customaryRating();
            double amps = point(plate, grid).by(model);
            double screenWatts = screen.orElse(plate) * model.screenCurrent(plate, screen.orElse(plate), grid);
            return amps >= LEAST_AMPS
                    && amps <= PART * limit(model, plate, grid)
                    && screenWatts <= PART * rating.screenWatts().orElse(NO_LIMIT)
                    && plate <= mostVolts(rating);
        }

        /** What the plate bears there, and the cathode beside the screen. */
        private double limit(TubeModel model, double plate, double grid) {
            Rating rating = stand.type().customaryRating();
            double beside = screen.isPresent() ? model.screenCurrent(plate, screen.getAsDouble(), grid) : 0;
            return Math.min(rating.plateWatts() / plate, rating.cathodeAmps().orElse(NO_LIMIT) - beside);
        }

        private double mostVolts(Rating rating) {
            return stand.tied() && rating.further().triodeVolts().isPresent()
                    ? rating.further().triodeVolts().getAsDouble()
                    : rating.plateVolts().orElse(NO_LIMIT);
        }

        private boolean isNear(TracedPoint point, double plate, double grid) {
            double pull = screen.orElse(plate);
            return point.screen().isPresent() == screen.isPresent()
                    && Math.abs(point.plate() - plate) <= NEAR * plate
                    && Math.abs(point.pull() - pull) <= NEAR * pull
                    && Math.abs(point.grid() - grid) <= NEAR_GRID;
        }
    }
}
