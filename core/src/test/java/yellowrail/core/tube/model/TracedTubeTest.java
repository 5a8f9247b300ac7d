package yellowrail.core.tube.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.trace.TracePlan;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** Tubes that were made up, traced by the plan with a meter that errs, and found again. */
class TracedTubeTest {

    private static final double METER = 0.01;
    private static final double LAST_DIGIT = 0.0001;

    private final Random random = new Random(16);

    @ParameterizedTest
    @ValueSource(strings = {"EL34", "6L6GC", "KT88", "EL84", "6V6GT", "300B", "2A3"})
    void aTubeTracedByThePlanIsFoundAgain(String number) {
        TubeType type = TubeCatalogue.published().find(number).orElseThrow();
        TubeModel typical = TubeModels.published().of(type).orElseThrow().model();
        for (int tube = 0; tube < 8; tube++) {
            TubeModel truth = oneOf(typical);
            List<TracedPoint> points = traced(type, typical, truth);
            TracedTube found = TracedTube.of(Optional.of(typical), points).orElseThrow();
            double ours = farthest(found.model(), truth, points);
            assertThat(ours).isLessThan(0.06).isLessThan(farthest(typical, truth, points));
            assertThat(found.unseen().orElseThrow()).isLessThan(0.004);
        }
    }

    @Test
    void aTriodeThatNothingIsKnownOfIsFoundByItsPoints() {
        TriodeModel truth = new TriodeModel(20, 1.35, 1200, 150, 300);
        List<TracedPoint> points = new ArrayList<>();
        for (double grid : new double[] {-12, -9, -6, -3, 0}) {
            for (double plate : new double[] {60, 100, 150, 200, 250, 300}) {
                double amps = truth.plateCurrent(plate, plate, grid);
                if (amps > 1e-4 && amps * plate < 5) {
                    points.add(
                            read(new TracedPoint(plate, OptionalDouble.empty(), grid, amps, OptionalDouble.empty())));
                }
            }
        }
        TracedTube found = TracedTube.of(Optional.empty(), points).orElseThrow();
        assertThat(found.model().isTriode()).isTrue();
        assertThat(farthest(found.model(), truth, points)).isLessThan(0.05);
        assertThat(found.model().mu()).isBetween(18.0, 22.0);
    }

    @Test
    void tooFewPointsOrPointsOfOneGridAreNoCurves() {
        TubeModel typical = TubeModels.published()
                .of(TubeCatalogue.published().find("EL34").orElseThrow())
                .orElseThrow()
                .model();
        List<TracedPoint> points = new ArrayList<>();
        for (double plate : new double[] {50, 100, 150, 200, 250, 300, 350, 400}) {
            points.add(new TracedPoint(
                    plate, OptionalDouble.of(250), -20, typical.plateCurrent(plate, 250, -20), OptionalDouble.empty()));
        }
        assertThat(TracedTube.of(Optional.of(typical), points)).isEmpty();
        assertThat(TracedTube.of(Optional.of(typical), points.subList(0, 4))).isEmpty();
    }

    private List<TracedPoint> traced(TubeType type, TubeModel expected, TubeModel truth) {
        return TracePlan.of(new TracePlan.Stand(type, expected, expected, false), OptionalDouble.empty(), List.of())
                .steps()
                .stream()
                .map(step -> new TracedPoint(
                        step.plate(),
                        step.screen(),
                        step.grid(),
                        truth.plateCurrent(step.plate(), step.screen().orElse(step.plate()), step.grid()),
                        step.screen().isPresent()
                                ? OptionalDouble.of(truth.screenCurrent(
                                        step.plate(), step.screen().getAsDouble(), step.grid()))
                                : OptionalDouble.empty()))
                .map(this::read)
                .toList();
    }

    private TracedPoint read(TracedPoint point) {
        double amps = point.amps() * (1 + METER * random.nextGaussian() / 2);
        return new TracedPoint(
                point.plate(),
                point.screen(),
                point.grid(),
                Math.round(amps / LAST_DIGIT) * LAST_DIGIT,
                point.screenAmps());
    }

    private TubeModel oneOf(TubeModel typical) {
        return typical.withMu(Math.exp(0.06 * random.nextGaussian())).scaled(Math.exp(0.2 * random.nextGaussian()));
    }

    /** As a part of what is drawn there, at the points that draw more than a trickle. */
    private static double farthest(TubeModel model, TubeModel truth, List<TracedPoint> points) {
        return points.stream()
                .filter(point -> point.amps() > 0.005)
                .mapToDouble(point -> Math.abs(point.by(model) / point.by(truth) - 1))
                .max()
                .orElseThrow();
    }
}
