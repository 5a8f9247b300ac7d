package yellowrail.core.bias;

import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;

/** Bias supplies of a made-up workshop. */
public final class Supplies {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private Supplies() {}

    /** A tap of 310 V through 82 k, a pot of 10 k over 22 k. */
    public static BiasSupply tapped() {
        return new BiasSupply(
                new BiasSource(310, 0, 50, Rectification.HALF_WAVE, NO),
                new Smoothing(82_000, 47e-6, OptionalDouble.of(50), 0, 0, NO),
                BiasNetwork.of(Kind.DIVIDER_POT, 0, 10_000, 22_000),
                220_000,
                NO);
    }

    /** A winding of 52 V, 15 k, then 22 k and a rheostat of 25 k to ground. */
    public static BiasSupply wound() {
        return new BiasSupply(
                new BiasSource(52, 0, 60, Rectification.HALF_WAVE, NO),
                new Smoothing(1000, 47e-6, OptionalDouble.of(100), 15_000, 0, NO),
                BiasNetwork.of(Kind.RHEOSTAT_SHUNT, 0, 25_000, 22_000),
                220_000,
                NO);
    }

    static SteadyState solved(BiasSupply supply, double range, double mains) {
        return SteadyStateSolver.solve(supply.circuit(PotStand.at(range), mains));
    }
}
