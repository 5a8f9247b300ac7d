package yellowrail.core.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

class TracePlanTest {

    private static final double STRONG = 1.4;

    @Test
    void evenAStrongTubeStaysWithinItsRatings() {
        TubeCatalogue catalogue = TubeCatalogue.published();
        for (String number : TubeModels.published().types(catalogue)) {
            TubeType type = catalogue.find(number).orElseThrow();
            TubeModel strong = model(type).scaled(STRONG);
            List<TracePlan.Step> steps = plan(type, List.of()).steps();
            assertThat(steps).as(number).hasSizeGreaterThanOrEqualTo(8);
            assertThat(steps.stream().map(TracePlan.Step::grid).distinct())
                    .as(number)
                    .hasSizeGreaterThan(2);
            Rating rating = type.customaryRating();
            assertThat(steps).as(number).allSatisfy(step -> {
                TubeModel.Currents drawn =
                        strong.currents(step.plate(), step.screen().orElse(step.plate()), step.grid());
                assertThat(step.plate() * drawn.plate()).isLessThan(rating.plateWatts());
                assertThat(step.screen().orElse(0) * drawn.screen())
                        .isLessThan(rating.screenWatts().orElse(Double.POSITIVE_INFINITY));
                assertThat(step.expected()).isLessThan(step.stop());
            });
        }
    }

    @Test
    void itBeginsColdAndGoesOnWhereNothingIsReadYet() {
        TubeType type = TubeCatalogue.published().find("EL34").orElseThrow();
        TracePlan plan = plan(type, List.of());
        TracePlan.Step first = plan.next().orElseThrow();
        assertThat(first.grid())
                .isEqualTo(plan.steps().stream()
                        .mapToDouble(TracePlan.Step::grid)
                        .min()
                        .orElseThrow());
        TracePlan after = plan(
                type,
                List.of(new TracedPoint(
                        first.plate() + 1, first.screen(), first.grid(), first.expected(), OptionalDouble.empty())));
        assertThat(after.next()).contains(plan.steps().get(1));
    }

    @Test
    void theStepsStayWhileTheTubeBecomesKnownButForThoseThatAStrongOneForbids() {
        TubeType type = TubeCatalogue.published().find("EL34").orElseThrow();
        TubeModel known = model(type).withMu(1.1).scaled(STRONG);
        TracePlan usual = plan(type, List.of());
        TracePlan own =
                TracePlan.of(new TracePlan.Stand(type, model(type), known, false), OptionalDouble.empty(), List.of());
        assertThat(own.steps()).hasSizeBetween(6, usual.steps().size() - 1);
        assertThat(usual.steps())
                .extracting(TracePlan.Step::plate, TracePlan.Step::grid)
                .containsAll(own.steps().stream()
                        .map(step -> tuple(step.plate(), step.grid()))
                        .toList());
    }

    @Test
    void aScreenTiedToThePlateHasNoVoltsOfItsOwn() {
        TubeType type = TubeCatalogue.published().find("EL34").orElseThrow();
        TracePlan plan = TracePlan.of(
                new TracePlan.Stand(type, model(type), model(type), true), OptionalDouble.empty(), List.of());
        assertThat(plan.steps())
                .hasSizeGreaterThan(8)
                .allSatisfy(step -> assertThat(step.screen()).isEmpty());
    }

    private static TracePlan plan(TubeType type, List<TracedPoint> taken) {
        return TracePlan.of(new TracePlan.Stand(type, model(type), model(type), false), OptionalDouble.empty(), taken);
    }

    private static TubeModel model(TubeType type) {
        return TubeModels.published().of(type).orElseThrow().model();
    }
}
