package yellowrail.core.amp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.bias.Supplies;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.idle.LastRead;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.swap.GridNeeds;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.tube.model.TubeModels;

class BiasStopsTest {

    private static final OptionalDouble NO = OptionalDouble.empty();
    private static final AmpSheet TAPPED = Amps.pair().with(Optional.of(Supplies.tapped()));

    private static Fittings read(double coldest, double hottest) {
        return new Fittings(
                NO,
                NO,
                "",
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                OptionalDouble.of(coldest),
                OptionalDouble.of(hottest),
                NO,
                NO,
                "",
                Fittings.PinOne.UNKNOWN,
                "",
                Iron.UNKNOWN);
    }

    @Test
    void whatWasReadCountsBeforeWhatIsComputed() {
        assertThat(BiasStops.of(Amps.pair())).isEmpty();
        BiasStops computed = BiasStops.of(TAPPED).orElseThrow();
        assertThat(computed.computed()).isTrue();
        assertThat(computed.coldest()).isCloseTo(-45.7, within(0.05));
        assertThat(BiasStops.of(TAPPED.with(read(-47, -33)))).contains(new BiasStops(-47, -33, false));
    }

    @Test
    void aSupplyWithoutAPotAndCathodeBiasHaveNone() {
        assertThat(BiasStops.of(Amps.pair()
                        .with(Optional.of(Supplies.tapped().with(BiasNetwork.of(Kind.FIXED, 0, 0, 27_000))))))
                .isEmpty();
        assertThat(BiasStops.of(Amps.quad().with(Optional.of(Supplies.tapped())).with(read(-47, -33))))
                .isEmpty();
    }

    /** Within a tenth parts explain it; -58 V where 310 V through 82 k give -45.7 V they do not. */
    @Test
    void aSheetThatContradictsItsOwnSupplyIsTold() {
        assertThat(BiasStops.disagreement(TAPPED)).isEmpty();
        assertThat(BiasStops.disagreement(TAPPED.with(read(-48, -33)))).isEmpty();
        BiasStops computed = BiasStops.computed(TAPPED).orElseThrow();
        assertThat(BiasStops.disagreement(TAPPED.with(read(-58, -33))))
                .contains(new AmpFinding.StopsDisagree(-58, -33, computed.coldest(), computed.hottest()));
    }

    /**
     * The next move takes -31 V less a good deal; the supply ends at -45.7 V on the cold side, so less is out of it.
     */
    @Test
    void aMoveBeyondTheComputedStopIsTold() {
        List<String> lines = List.of("V1 60", "V2 60", "plate 452", "bias -45");
        assertThat(notes(TAPPED, lines)).anyMatch(MoveFinding.BeyondTheComputedStop.class::isInstance);
        assertThat(notes(Amps.pair(), lines)).noneMatch(MoveFinding.BeyondTheComputedStop.class::isInstance);
        assertThat(notes(TAPPED.with(read(-70, -31)), lines))
                .as("read, it reaches farther than the drawing says")
                .noneMatch(MoveFinding.BeyondTheComputedStop.class::isInstance);
    }

    private static List<?> notes(AmpSheet sheet, List<String> lines) {
        return Amps.move(sheet, Amps.readings(sheet, lines.toArray(String[]::new)))
                .orElseThrow()
                .notes();
    }

    /** Each by its own reading: what draws more at the same grids gets the larger resistor. */
    @Test
    void tubesAreKnownOneByOne() {
        AmpSheet sheet = Amps.pair();
        var timeline = Amps.timeline(sheet, "V1 38", "V2 32", "plate 452", "bias -46");
        LastRead read = LastRead.of(Amps.stage(sheet), Optional.of(timeline.present()));
        var need =
                GridNeeds.of(SwapAmp.of(sheet, read), Amps.type("6L6GC"), true).orElseThrow();
        var known = TubeModels.published().of(Amps.type("6L6GC")).orElseThrow();
        var tubes = GridNeeds.each(Amps.stage(sheet).at(timeline.present()), need, known);
        assertThat(tubes).extracting("label").containsExactly("V1", "V2");
        for (var tube : tubes) {
            assertThat(tube.model().cathodeCurrent(452, need.screen(), -46))
                    .as(tube.label())
                    .isCloseTo(tube.reads(), within(2e-4));
        }
        assertThat(GridNeeds.each(List.of(), need, known)).isEmpty();
    }
}
