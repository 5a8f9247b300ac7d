package yellowrail.core.bias.circuit;

import yellowrail.core.root.UnsettledException;

/**
 * What a bias supply settles to: by the balance of its conduction angle while the reservoir hardly moves, by stepping
 * through a cycle where the ripple passes 10 %, where a capacitor couples the winding, or where the reservoir follows
 * the winding while it charges.
 */
public final class SteadyStateSolver {

    private static final double MUCH_RIPPLE = 0.10;
    private static final double LITTLE_RIPPLE = 0.003;
    /** With a series resistor of less than so many reactances of the reservoir it follows the winding. */
    private static final double FOLLOWS = 5;
    /** Less than this is no load, S. */
    private static final double NO_LOAD = 1e-8;

    private static final double[][] NO_WAVE = {};

    private SteadyStateSolver() {}

    /** @throws UnsettledException if it does not come to rest */
    public static SteadyState solve(Circuit circuit) {
        return solve(circuit, SteppedCycle.FINE);
    }

    /** The same with so many steps to a cycle. */
    static SteadyState solve(Circuit circuit, int steps) {
        Nodes nodes = new Nodes(circuit.legs());
        boolean plain = isPlain(circuit);
        if (circuit.ways().isEmpty() || isOneWay(circuit)) {
            return still(circuit, nodes, 0);
        }
        if (circuit.coupling().isPresent()) {
            double pulses = circuit.hertz() * circuit.coupling().getAsDouble();
            double highest = plain ? circuit.peak() : 2 * circuit.peak();
            return nodes.load() < NO_LOAD
                    ? still(circuit, nodes, highest)
                    : new SteppedCycle(circuit, nodes, steps).solve(highest * pulses / (pulses + nodes.load()));
        }
        if (!plain) {
            return new SteppedCycle(circuit, nodes, steps).solve(0);
        }
        SteadyState balance = new ConductionBalance(circuit, nodes).solve();
        return isGood(balance) ? balance : new SteppedCycle(circuit, nodes, steps).solve(balance.reservoir());
    }

    private static boolean isPlain(Circuit circuit) {
        return circuit.ways().stream()
                .noneMatch(way -> way.shorted()
                        || way.ahead().leads() == Path.Leads.GROUND
                        || way.back().leads() == Path.Leads.GROUND);
    }

    /** Whether no cycle has to be stepped through. */
    static boolean isQuick(Circuit circuit) {
        if (circuit.ways().isEmpty() || isOneWay(circuit)) {
            return true;
        }
        return circuit.coupling().isEmpty()
                && isPlain(circuit)
                && isGood(new ConductionBalance(circuit, new Nodes(circuit.legs())).solve());
    }

    /** Through a coupling capacitor nothing goes for long that does not come back. */
    private static boolean isOneWay(Circuit circuit) {
        return circuit.coupling().isPresent()
                && circuit.ways().stream().allMatch(way -> way.back().leads() == Path.Leads.NOWHERE);
    }

    private static boolean isGood(SteadyState balance) {
        Circuit circuit = balance.circuit();
        double relative = balance.ripple() / balance.reservoir();
        double reactances = 2 * Math.PI * circuit.hertz() * circuit.acOhms() * circuit.reservoir();
        return relative <= LITTLE_RIPPLE || relative <= MUCH_RIPPLE && reactances >= FOLLOWS;
    }

    private static SteadyState still(Circuit circuit, Nodes nodes, double volts) {
        return new SteadyState(circuit, nodes, volts, volts * nodes.settled(), 0, 0, volts, 0, 0, NO_WAVE, 0);
    }
}
