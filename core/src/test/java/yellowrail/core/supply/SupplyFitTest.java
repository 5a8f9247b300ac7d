package yellowrail.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.tube.model.TubeModels;

class SupplyFitTest {

    private static final SupplyFinding WHY = new SupplyFinding.GuessedAsUsual(400);

    private static SupplyPoint point(double volts, double amps) {
        return new SupplyPoint(List.of(), volts, amps, 1, 0.1, false);
    }

    @Property
    void pointsOfALineGiveTheLineBackWhateverTheMains(
            @ForAll @DoubleRange(min = 300, max = 700) double source,
            @ForAll @DoubleRange(min = 50, max = 1500) double ohms,
            @ForAll @DoubleRange(min = 0.95, max = 1.05) double mains) {
        List<SupplyPoint> points = List.of(
                new SupplyPoint(List.of(), source - ohms * 0.06, 0.06, 1, 0.1, false),
                new SupplyPoint(List.of(), source * mains - ohms * 0.10, 0.10, mains, 0.1, false),
                new SupplyPoint(List.of(), source - ohms * 0.09, 0.09, 1, 0.1, false));
        SupplyLine line = new SupplyFit(points, 400, WHY).fit();
        assertThat(line.source()).isCloseTo(source, within(1e-6 * source));
        assertThat(line.resistance()).isCloseTo(ohms, within(1e-4 * ohms));
    }

    @Test
    void aSlippedProbeIsLeftOutAndNamed() {
        List<SupplyPoint> points = new ArrayList<>(List.of(
                point(462, 0.068), point(457.2, 0.078), point(439, 0.085), point(451.5, 0.090), point(447.7, 0.098)));
        SupplyLine line = new SupplyFit(points, 400, WHY).fit();
        assertThat(line.outliers()).extracting(SupplyPoint::volts).containsExactly(439.0);
        assertThat(line.resistance()).isCloseTo(477, within(6.0));
        assertThat(line.resistancePlusMinus()).isBetween(0.1, 60.0);
    }

    @Test
    void onePointOrNoSlopeMeansAGuess() {
        SupplyLine one = new SupplyFit(List.of(point(462, 0.068)), 400, WHY).fit();
        assertThat(one.source()).isCloseTo(489.2, within(0.01));
        assertThat(one.finding())
                .isInstanceOfSatisfying(
                        SupplyFinding.LineGuessed.class,
                        guessed -> assertThat(guessed.why()).isEqualTo(WHY));
        assertThat(new SupplyFit(List.of(point(462, 0.068), point(462.1, 0.0681)), 400, WHY)
                        .fit()
                        .isGuessed())
                .isTrue();
        assertThatThrownBy(() -> new SupplyFit(List.of(), 400, WHY))
                .hasMessage("a supply line needs at least one point");
        assertThatThrownBy(() -> point(-3, 0)).hasMessageContaining("volts, mains and noise above 0");
    }

    /** No supply stands lower open than loaded, nor has less than 20 ohm or more than 5 k behind it. */
    @Test
    void whatNoSupplyCanBeIsRefused() {
        for (double second : new double[] {470, 461.7, 340}) {
            SupplyLine line = new SupplyFit(List.of(point(462, 0.068), point(second, 0.090)), 400, WHY).fit();
            assertThat(line.refused()).as("%s V", second).isPresent();
            assertThat(line.finding()).isInstanceOf(SupplyFinding.NoSupplyLine.class);
            assertThat(line.resistance()).isEqualTo(400);
        }
        assertThat(new SupplyFit(List.of(point(462, 0.068), point(451.5, 0.090)), 400, WHY)
                        .fit()
                        .refused())
                .isEmpty();
    }

    @Test
    void readingsOfTwoSettingsAreNotMixed() {
        AmpSheet sheet = Amps.pair();
        SupplyReadings sets =
                readings(sheet, "V1 24 V2 24 plate 462", "V1 35", "plate 451.5", "V2 34.8", "V2 34.9", "note hum");
        assertThat(sets.sets()).hasSize(2);
        assertThat(sets.sets().get(1).cathode(1)).isEqualTo(0.0349);
        assertThat(readings(sheet, "V1 24 V2 24 plate 462", "V1 35 plate 451.5").sets())
                .as("V2 of the second setting is missing")
                .hasSize(1);
    }

    private static SupplyReadings readings(AmpSheet sheet, String... lines) {
        return new SupplyReadings(Amps.stage(sheet), Amps.timeline(sheet, lines));
    }

    @Test
    void aLoggedTurnParts() {
        assertThat(readings(Amps.pair(), "V1 24 V2 24 plate 462", "turn RANGE clockwise", "V1 24.1 V2 24.1 plate 461.9")
                        .sets())
                .hasSize(2);
    }

    @Test
    void mainsExponentsAreCustomaryOrComputed() {
        assertThat(Mains.customary(Amps.pair()).convertDissipation(18, 1.03, 1))
                .isCloseTo(18 * Math.pow(1 / 1.03, 2.5), within(1e-9));
        assertThat(Mains.customary(Amps.quad()).convertCurrent(0.04, 1, 1.1))
                .isCloseTo(0.04 * Math.pow(1.1, 1.2), within(1e-9));
        var model = TubeModels.published().of(Amps.type("6L6GC")).orElseThrow().model();
        SupplyLine line = new SupplyLine(
                494.5,
                477,
                new SupplyLine.Covariance(0, 0, 0),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty());
        Mains computed = Mains.computed(model, line, 0.02, 2, 5, model.gridFor(0.035, 451, 446), false)
                .orElseThrow();
        assertThat(computed.current()).isBetween(0.9, 1.6);
        assertThat(computed.dissipation()).isGreaterThan(computed.current() + 0.7);
        Mains still = Mains.computed(model, line, 0.02, 2, 5, model.gridFor(0.035, 451, 446), true)
                .orElseThrow();
        AmpSheet regulated = Amps.pair().with(Amps.pair().supply().withRegulatedBias());
        assertThat(still.current())
                .as("grids that stand still: far steeper, as is taken where nothing was read")
                .isGreaterThan(2.5 * computed.current())
                .isCloseTo(Mains.customary(regulated).current(), within(1.5));
    }
}
