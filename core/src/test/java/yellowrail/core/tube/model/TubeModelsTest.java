package yellowrail.core.tube.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import yellowrail.core.Amps;

class TubeModelsTest {

    private static PentodeModel model(String type) {
        return TubeModels.published().of(Amps.type(type)).orElseThrow().model();
    }

    @TestFactory
    List<DynamicTest> everyPublishedPlateCurrentIsMet() {
        return TubeModels.points().entrySet().stream()
                .map(entry -> DynamicTest.dynamicTest(entry.getKey(), () -> {
                    KnownModel known =
                            TubeModels.published().of(Amps.type(entry.getKey())).orElseThrow();
                    for (StaticPoint p : entry.getValue()) {
                        double worst = entry.getKey().equals("6V6GT") ? 0.10 : 0.05;
                        assertThat(known.model().plateCurrent(p.plate(), p.screen(), p.grid()) / p.plateAmps() - 1)
                                .as(p.toString())
                                .isBetween(-worst, worst);
                        assertThat(known.model().screenCurrent(p.plate(), p.screen(), p.grid()) / p.screenAmps() - 1)
                                .as(p.toString())
                                .isBetween(-0.45, 0.45);
                        p.transconductance()
                                .ifPresent(gm -> assertThat(
                                                known.model().transconductance(p.plate(), p.screen(), p.grid()))
                                        .isCloseTo(gm, within(0.08 * gm)));
                        p.plateResistance()
                                .ifPresent(
                                        ra -> assertThat(known.model().plateResistance(p.plate(), p.screen(), p.grid()))
                                                .isCloseTo(ra, within(0.3 * ra)));
                    }
                    assertThat(known.plateError()).isLessThan(0.10);
                }))
                .toList();
    }

    @Property
    void moreGridVoltsMoreCurrentAndBackAgain(
            @ForAll @DoubleRange(min = -60, max = -5) double grid,
            @ForAll @DoubleRange(min = 250, max = 500) double plate) {
        PentodeModel model = model("6L6GC");
        double amps = model.cathodeCurrent(plate, 400, grid);
        assertThat(model.cathodeCurrent(plate, 400, grid + 1)).isGreaterThan(amps);
        assertThat(model.cathodeCurrent(plate + 10, 400, grid)).isGreaterThan(amps);
        assertThat(model.gridFor(amps, plate, 400)).isCloseTo(grid, within(1e-4));
    }

    @Test
    void aTypeWithoutPublishedPointsHasNoModel() {
        assertThat(TubeModels.published().of(Amps.type("KT120"))).isEmpty();
        assertThat(TubeModels.published().of(Amps.type("6CA7"))).isPresent();
        assertThatThrownBy(() -> new ModelFit("KT120", List.of(), List.of()))
                .hasMessage("KT120 has no published points to fit to");
        assertThat(TubeModels.published().of(Amps.type("KT88")).orElseThrow().trust())
                .isInstanceOfSatisfying(
                        ModelFinding.FittedToFew.class,
                        trust -> assertThat(trust.points()).isEqualTo(2));
    }

    @Test
    void aScaledTubeCarriesThatMuchMore() {
        PentodeModel model = model("EL34");
        assertThat(model.scaled(1.2).cathodeCurrent(430, 420, -38))
                .isCloseTo(1.2 * model.cathodeCurrent(430, 420, -38), within(1e-9));
    }
}
