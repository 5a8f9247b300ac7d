package yellowrail.core.stage;

import java.io.IOException;
import java.util.regex.Pattern;
import yellowrail.core.CircuitSimulator;

/**
 * A stage in the circuit simulator.
 *
 * @param volts amplitude of the fundamental at the node out
 */
record SimulatedStage(double volts, double distortion, double seconds) {

    private static final Pattern THD = Pattern.compile("THD: ([-+.\\deE]+) %");
    private static final Pattern FUNDAMENTAL = Pattern.compile("(?m)^\\s*1\\s+1000\\s+([-+.\\deE]+)");

    static SimulatedStage run(String netlist) throws IOException, InterruptedException {
        CircuitSimulator.Output output = CircuitSimulator.run(netlist);
        return new SimulatedStage(output.number(FUNDAMENTAL), output.number(THD) / 100, output.seconds());
    }
}
