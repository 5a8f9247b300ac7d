package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.Smoothing;

/** The steady state of a bias supply: worked examples, and what holds for every supply. */
class SteadyStateTest {

    @Test
    void aTapThroughASeriesResistor() {
        SteadyState cold = Supplies.solved(Supplies.tapped(), 0, 1);
        assertThat(cold.reservoir()).isCloseTo(45.73, within(0.05));
        assertThat(cold.volts("wiper")).isCloseTo(45.73, within(0.05));
        assertThat(cold.ripple()).isCloseTo(0.35, within(0.005));
        assertThat(Math.toDegrees(cold.conduction())).isCloseTo(168, within(0.5));
        assertThat(cold.amps()).isCloseTo(1.43e-3, within(5e-6));
        assertThat(Supplies.solved(Supplies.tapped(), 1, 1).volts("wiper")).isCloseTo(31.44, within(0.05));
        assertThat(Supplies.solved(Supplies.tapped(), 0, 1.1).reservoir()).isCloseTo(50.3, within(0.05));
    }

    @Test
    void aWindingOfItsOwn() {
        SteadyState cold = Supplies.solved(Supplies.wound(), 0, 1);
        SteadyState hot = Supplies.solved(Supplies.wound(), 1, 1);
        assertThat(cold.reservoir()).isCloseTo(63.46, within(0.05));
        assertThat(hot.reservoir()).isCloseTo(60.06, within(0.05));
        assertThat(cold.volts("supply")).isCloseTo(48.1, within(0.05));
        assertThat(hot.volts("supply")).isCloseTo(35.7, within(0.05));
    }

    @Test
    void whereARippleIsLargeACycleIsSteppedThrough() {
        BiasSupply supply = Supplies.wound();
        SteadyState small = Supplies.solved(
                supply.with(new Smoothing(1000, 1e-6, OptionalDouble.empty(), 15_000, 0, OptionalDouble.empty())),
                1,
                1);
        assertThat(small.isStepped()).isTrue();
        assertThat(small.ripple() / small.reservoir()).isBetween(0.1, 0.6);
        assertThat(small.reservoir()).isLessThan(60.06);
    }
}
