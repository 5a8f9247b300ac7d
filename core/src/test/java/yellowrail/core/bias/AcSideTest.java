package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import yellowrail.core.bias.circuit.AcSide;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;

class AcSideTest {

    @Property(tries = 60)
    void whatIsInterpolatedIsNearWhatIsSolved(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
        RandomSupply chance = new RandomSupply(seed);
        BiasSupply supply = chance.supply();
        AcSide side = new AcSide(supply.circuit(PotStand.COLDEST, 1));
        PotStand stand = chance.stand();
        for (double mains : new double[] {1, 1.1}) {
            SteadyState near = side.with(supply.circuit(stand, mains));
            SteadyState exact = SteadyStateSolver.solve(supply.circuit(stand, mains));
            assertThat(near.reservoir() / exact.reservoir()).isCloseTo(1, within(0.03));
            assertThat(BiasRange.grid(near) / BiasRange.grid(exact)).isCloseTo(1, within(0.03));
        }
    }
}
