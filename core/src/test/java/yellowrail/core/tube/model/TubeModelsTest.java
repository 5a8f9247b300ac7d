package yellowrail.core.tube.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import yellowrail.core.Amps;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

class TubeModelsTest {

    private static TubeModel model(String type) {
        return TubeModels.published().of(Amps.type(type)).orElseThrow().model();
    }

    /** Points of a double tube are those of one section. */
    private static KnownModel section(String type) {
        TubeCatalogue catalogue = TubeCatalogue.published();
        return TubeModels.published()
                .of(catalogue.find(type + " (section)").orElseGet(() -> Amps.type(type)))
                .orElseThrow();
    }

    @TestFactory
    List<DynamicTest> everyPublishedPlateCurrentIsMet() {
        return TubeModels.points().entrySet().stream()
                .map(entry -> DynamicTest.dynamicTest(entry.getKey(), () -> {
                    KnownModel known = section(entry.getKey());
                    for (StaticPoint p : entry.getValue()) {
                        double worst = entry.getKey().equals("6V6GT") ? 0.10 : 0.05;
                        assertThat(known.model().plateCurrent(p.plate(), p.screen(), p.grid()) / p.plateAmps() - 1)
                                .as(p.toString())
                                .isBetween(-worst, worst);
                        double gm = known.model().transconductance(p.plate(), p.screen(), p.grid());
                        double ra = known.model().plateResistance(p.plate(), p.screen(), p.grid());
                        if (p.triode()) {
                            assertThat(ra).isCloseTo(p.plateResistance().orElseThrow(), withinPercentage(10));
                            assertThat(gm * ra)
                                    .isCloseTo(
                                            p.transconductance().orElseThrow()
                                                    * p.plateResistance().orElseThrow(),
                                            withinPercentage(10));
                            continue;
                        }
                        p.screenAmps()
                                .ifPresent(
                                        amps -> assertThat(known.model().screenCurrent(p.plate(), p.screen(), p.grid()))
                                                .isCloseTo(amps, withinPercentage(45)));
                        p.transconductance()
                                .ifPresent(published -> assertThat(gm).isCloseTo(published, withinPercentage(8)));
                        p.plateResistance()
                                .ifPresent(published -> assertThat(ra).isCloseTo(published, withinPercentage(30)));
                    }
                    assertThat(known.plateError()).isLessThan(0.10);
                }))
                .toList();
    }

    /** The catalogue’s spread of a screen share covers the type’s own points, or those of the type it is like. */
    @TestFactory
    List<DynamicTest> everyPublishedScreenShareLiesWithinItsSpread() {
        return TubeModels.published().all().stream()
                .filter(known -> !known.model().isTriode())
                .map(known -> DynamicTest.dynamicTest(known.type(), () -> {
                    TubeType type = Amps.type(known.type());
                    String of = known.like().map(KnownModel.Like::type).orElse(known.type());
                    double farthest = TubeModels.points().get(of).stream()
                            .filter(p -> p.screenAmps().isPresent() && p.screen() <= p.plate())
                            .mapToDouble(p -> p.screenAmps().getAsDouble()
                                    / (p.plateAmps() + p.screenAmps().getAsDouble()))
                            .map(share -> Math.abs(share / type.screenShare() - 1))
                            .max()
                            .orElseThrow();
                    assertThat(type.screenSpread()).isGreaterThanOrEqualTo(farthest - 0.01);
                    assertThat(type.screenSpread())
                            .isLessThanOrEqualTo(Math.max(TubeType.SCREEN_SHARE_SPREAD, farthest + 0.01));
                }))
                .toList();
    }

    @Property
    void moreGridVoltsMoreCurrentAndBackAgain(
            @ForAll @DoubleRange(min = -60, max = -5) double grid,
            @ForAll @DoubleRange(min = 250, max = 500) double plate) {
        TubeModel model = model("6L6GC");
        double amps = model.cathodeCurrent(plate, 400, grid);
        assertThat(model.cathodeCurrent(plate, 400, grid + 1)).isGreaterThan(amps);
        assertThat(model.cathodeCurrent(plate + 10, 400, grid)).isGreaterThan(amps);
        assertThat(model.gridFor(amps, plate, 400)).isCloseTo(grid, within(1e-4));
    }

    @Test
    void aTypeWithoutPublishedPointsHasNoModel() {
        assertThat(TubeModels.published().of(Amps.type("KT77"))).isEmpty();
        assertThat(TubeModels.published().of(Amps.type("6CA7"))).isPresent();
        assertThatThrownBy(() -> new ModelFit("KT77", List.of(), List.of()))
                .hasMessage("KT77 has no published points to fit to");
        assertThat(TubeModels.published().of(Amps.type("KT88")).orElseThrow().trust())
                .isInstanceOfSatisfying(
                        ModelFinding.FittedToFew.class,
                        trust -> assertThat(trust.points()).isEqualTo(2));
    }

    @Test
    void aScaledTubeCarriesThatMuchMore() {
        TubeModel model = model("EL34");
        assertThat(model.scaled(1.2).cathodeCurrent(430, 420, -38))
                .isCloseTo(1.2 * model.cathodeCurrent(430, 420, -38), within(1e-9));
    }
}
