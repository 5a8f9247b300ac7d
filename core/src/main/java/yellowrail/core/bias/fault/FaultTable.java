package yellowrail.core.bias.fault;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;

/**
 * Every single fault of a supply, its part replaced and the circuit solved again, the pots standing where they do: what
 * the grids get, what the tubes then draw at the plate volts they have, which is more than a sagging supply lets them.
 */
public final class FaultTable {

    private final BiasSupply supply;
    private final PotStand stand;
    private final Optional<GridNeed> need;
    private final double set;

    /** @param need what the tubes are; empty where that is not known, then volts alone decide */
    public FaultTable(BiasSupply supply, PotStand stand, Optional<GridNeed> need) {
        this.supply = supply;
        this.stand = stand;
        this.need = need;
        this.set = worst(SteadyStateSolver.solve(supply.circuit(stand, 1))).mean();
    }

    public List<FaultEffect> effects() {
        return Fault.all(supply).stream().map(this::effect).toList();
    }

    private record Grid(double mean, double[] wave) {}

    /** The grid that is left least negative. */
    private static Grid worst(SteadyState state) {
        return state.circuit().grids().stream()
                .map(node -> new Grid(
                        -state.volts(node),
                        Arrays.stream(state.wave(node)).map(volts -> -volts).toArray()))
                .max(Comparator.comparingDouble(Grid::mean))
                .orElseThrow();
    }

    private FaultEffect effect(Fault fault) {
        SteadyState state = SteadyStateSolver.solve(fault.in(supply.circuit(stand, 1)));
        Grid grid = worst(state);
        OptionalDouble watts = need.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(need.get().watts(grid.wave()));
        double over = need.isEmpty() ? 0 : watts.getAsDouble() / need.get().rated();
        return new FaultEffect(
                fault,
                Math.min(0, grid.mean()),
                state.most(),
                need.isEmpty()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(need.get().amps(grid.wave())),
                watts,
                Outcome.of(set, grid.mean(), over));
    }
}
