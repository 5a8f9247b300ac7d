package yellowrail.core.practice;

import java.util.OptionalDouble;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.root.Root;

/**
 * The bias supply of a practice amp: made up so that it gives what the amp needs, and what becomes of the amp when the
 * builder has rebuilt it on the bias bench.
 *
 * @param coldest grid volts at the coldest stop, V, negative
 */
record PracticeBias(double coldest) {

    private static final double POT = 50_000;
    private static final double LOWER = 18_000;
    private static final double RATING = 100;
    private static final double CLOSE = 1e-3;

    BiasSupply supply() {
        double volts = Root.between(at -> coldest - coldest(of(at)), -coldest / 2, -2 * coldest, CLOSE);
        return of(Math.rint(volts * 10) / 10);
    }

    private static BiasSupply of(double volts) {
        return new BiasSupply(
                new BiasSource(volts, 25, 60, Rectification.HALF_WAVE, OptionalDouble.empty()),
                new Smoothing(1000, 47e-6, OptionalDouble.of(RATING), 0, 0, OptionalDouble.empty()),
                BiasNetwork.of(Kind.DIVIDER_POT, 0, POT, LOWER),
                220_000,
                OptionalDouble.empty());
    }

    private static double coldest(BiasSupply supply) {
        return BiasRange.grid(SteadyStateSolver.solve(supply.circuit(PotStand.COLDEST, 1)));
    }

    /** What the grids get of another supply, its pot as worn as it was. */
    static Circuit.Bias rebuilt(Circuit.Bias found, BiasSupply supply) {
        BiasRange range = new BiasRange(supply, 1);
        return new Circuit.Bias(
                range.coldestVolts(),
                range.hottestVolts(),
                found.pots(),
                found.lifts(),
                range.wiperOpenVolts().orElse(range.coldestVolts()));
    }
}
