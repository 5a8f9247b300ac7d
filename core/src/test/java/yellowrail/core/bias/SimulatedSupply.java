package yellowrail.core.bias;

import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.CircuitSimulator;
import yellowrail.core.bias.circuit.BiasNetlist;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;

/** A supply solved here and in the circuit simulator, which begins 3 % beside our solution. */
record SimulatedSupply(SteadyState ours, CircuitSimulator.Output theirs, double worst, double seconds) {

    private static final Pattern START = Pattern.compile("ic=(\\S+)");
    private static final double BESIDE = 0.97;

    static SimulatedSupply run(BiasSupply supply, PotStand stand) throws IOException, InterruptedException {
        Circuit circuit = supply.circuit(stand, 1);
        SteadyState ours = SteadyStateSolver.solve(circuit);
        CircuitSimulator.Output theirs = CircuitSimulator.run(moved(new BiasNetlist(ours, "a supply").write()));
        double worst = apart(ours.reservoir(), theirs.measured("reservoir_mean"), ours.reservoir());
        for (String grid : circuit.grids()) {
            worst = Math.max(worst, apart(ours.volts(grid), theirs.measured(grid + "_mean"), ours.volts(grid)));
        }
        return new SimulatedSupply(ours, theirs, worst, theirs.seconds());
    }

    /** The simulator's supply is negative. */
    static double apart(double ours, double theirs, double of) {
        return Math.abs(ours + theirs) / of;
    }

    static String moved(String netlist) {
        Matcher matcher = START.matcher(netlist);
        return matcher.replaceAll(found -> "ic=" + BESIDE * Double.parseDouble(found.group(1)));
    }
}
