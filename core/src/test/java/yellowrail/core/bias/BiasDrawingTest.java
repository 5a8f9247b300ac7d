package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.fault.FaultEffect;
import yellowrail.core.bias.fault.FaultTable;
import yellowrail.core.bias.fault.Outcome;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.schematic.BiasCircuitDrawing;
import yellowrail.core.schematic.Drawn;
import yellowrail.core.schematic.Schematic;

/** Bias supplies as they are drawn, and what comes of their faults. */
class BiasDrawingTest {

    private static Schematic drawn(BiasSupply supply, PotStand stand) {
        return BiasCircuitDrawing.of(supply, stand, SteadyStateSolver.solve(supply.circuit(stand, 1)));
    }

    private static List<Drawn.Touched> touched(Schematic schematic) {
        return schematic.drawn().stream()
                .filter(each -> each instanceof Drawn.Touched)
                .map(each -> (Drawn.Touched) each)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26})
    void everyPartIsTouchedAtAPlaceOfItsOwnInsideTheDrawing(long seed) {
        RandomSupply random = new RandomSupply(seed);
        BiasSupply supply = random.supply();
        Schematic schematic = drawn(supply, random.stand());

        List<Drawn.Touched> touched = touched(schematic);

        List<Part> parts = touched.stream().map(Drawn.Touched::part).toList();
        assertThat(parts).doesNotHaveDuplicates();
        assertThat(touched.stream().map(Drawn.Touched::at)).doesNotHaveDuplicates();
        assertThat(touched.stream().map(Drawn.Touched::label)).doesNotHaveDuplicates();
        assertThat(touched).allSatisfy(each -> {
            assertThat(each.at().x()).isBetween(0.0, schematic.width());
            assertThat(each.at().y()).isBetween(0.0, schematic.height());
        });
        List<PartKind> kinds = parts.stream().map(Part::kind).toList();
        assertThat(kinds).contains(PartKind.WINDING, PartKind.RESERVOIR);
        assertThat(kinds.contains(PartKind.SECOND)).isEqualTo(supply.smoothing().second() > 0);
        assertThat(kinds.contains(PartKind.COUPLING))
                .isEqualTo(supply.source().coupling().isPresent());
    }

    @Test
    void aDiodeThatFailsLeavesTheGridsWithoutVolts() {
        List<FaultEffect> effects =
                new FaultTable(Supplies.tapped(), new PotStand(0.5, 0.5), Optional.empty()).effects();
        assertThat(effects).allSatisfy(each -> {
            assertThat(each.grid()).isLessThanOrEqualTo(0);
            assertThat(each.reservoir()).isNotNegative();
            assertThat(each.plateWatts()).as("tubes that are not known").isEmpty();
        });
        assertThat(effects.stream()
                        .filter(each -> each.fault().part().kind() == PartKind.DIODE)
                        .map(FaultEffect::outcome))
                .as("a diode that is open or shorted leaves no volts")
                .containsOnly(Outcome.RUNAWAY);
        assertThat(effects.stream().map(FaultEffect::outcome))
                .contains(Outcome.COLD, Outcome.UNCHANGED, Outcome.RUNAWAY);
    }
}
