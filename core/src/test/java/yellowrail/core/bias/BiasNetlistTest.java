package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.stream.LongStream;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yellowrail.core.CircuitSimulator;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.wiring.BiasSupply;

/** Supplies of every kind in a general circuit simulator, begun 3 % off, against our own solution. */
@Execution(ExecutionMode.CONCURRENT)
class BiasNetlistTest {

    static LongStream seeds() {
        return LongStream.rangeClosed(1, Long.getLong("supplies", 20));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void runsAsWrittenAndAgrees(long seed) throws Exception {
        assumeThat(CircuitSimulator.isInstalled()).isTrue();
        RandomSupply chance = new RandomSupply(seed);
        BiasSupply supply = chance.supply();
        SimulatedSupply both = SimulatedSupply.run(supply, chance.stand());
        SteadyState ours = both.ours();
        double ripple = ours.ripple() / ours.reservoir();
        double worst = both.worst();
        System.out.printf(
                "%d %s %s%s%s: %.3f V, ripple %.2f %%, apart %.3f %%, %.2f s%n",
                seed,
                supply.source().rectification(),
                supply.network().kind(),
                supply.source().coupling().isPresent() ? " coupled" : "",
                ours.isStepped() ? " stepped" : "",
                ours.reservoir(),
                100 * ripple,
                100 * worst,
                both.seconds());
        assertThat(worst).isCloseTo(0, within(ripple < 0.15 ? 0.005 : 0.02));
    }
}
