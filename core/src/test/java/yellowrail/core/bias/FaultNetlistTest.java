package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import yellowrail.core.CircuitSimulator;
import yellowrail.core.bias.circuit.BiasNetlist;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.fault.Fault;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;

/** Every single fault, its part taken out of the healthy netlist or bridged there, against our own solution. */
@Execution(ExecutionMode.CONCURRENT)
class FaultNetlistTest {

    private static final int LATER = 4;
    private static final PotStand STAND = PotStand.at(0.4);

    static Stream<Arguments> faults() {
        BiasSupply tapped = small(Supplies.tapped());
        BiasSupply wound = small(Supplies.wound());
        BiasSupply full = wound.with(new BiasSource(52, 10, 60, Rectification.FULL_WAVE, OptionalDouble.empty()));
        BiasSupply bridge = wound.with(new BiasSource(52, 10, 60, Rectification.BRIDGE, OptionalDouble.empty()))
                .with(BiasNetwork.of(Kind.RANGE_AND_BALANCE, 4700, 10_000, 22_000));
        List<Arguments> all = new ArrayList<>(Stream.of(tapped, wound, full, bridge)
                .flatMap(supply -> Fault.all(supply).stream().map(fault -> Arguments.of(supply, fault)))
                .toList());
        Collections.shuffle(all, new Random(1));
        return all.stream().limit(Long.getLong("faults", 30));
    }

    /** Smaller capacitors settle sooner. */
    private static BiasSupply small(BiasSupply supply) {
        Smoothing was = supply.smoothing();
        return supply.with(
                new Smoothing(was.seriesOhms(), 4.7e-6, was.reservoirRating(), 10_000, 2.2e-6, was.secondRating()));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void agrees(BiasSupply supply, Fault fault) throws Exception {
        assumeThat(CircuitSimulator.isInstalled()).isTrue();
        Circuit healthy = supply.circuit(STAND, 1);
        SteadyState before = SteadyStateSolver.solve(healthy);
        SteadyState ours = SteadyStateSolver.solve(fault.in(healthy));
        String netlist = failed(new BiasNetlist(before, "a fault").write(), fault, ours);
        CircuitSimulator.Output theirs = CircuitSimulator.run(netlist);
        for (String grid : healthy.grids()) {
            double scale = Math.max(before.volts(grid), ours.volts(grid));
            double apart = SimulatedSupply.apart(ours.volts(grid), theirs.measured(grid + "_mean"), scale);
            System.out.printf(
                    "%s %s %s %s: grid %.3f V, of %.3f V, apart %.3f %%%n",
                    supply.source().rectification(),
                    supply.network().kind(),
                    fault.part(),
                    fault.how(),
                    -ours.volts(grid),
                    -before.volts(grid),
                    100 * apart);
            assertThat(apart).isLessThan(0.02);
        }
    }

    /** The healthy netlist with one element gone or bridged, run long enough from where ours stands. */
    private static String failed(String netlist, Fault fault, SteadyState ours) {
        String part = fault.part().kind().name().toLowerCase(Locale.ROOT)
                + (fault.part().number() == 0 ? "" : fault.part().number());
        List<String> names = switch (fault.part().kind()) {
            case DIODE -> List.of("ddiode1 ");
            case SERIES -> List.of("rseries1 ", "rseries2 ");
            case RESERVOIR, SECOND -> List.of("c" + part + " ");
            default -> List.of("r" + part + " ");
        };
        StringBuilder failed = new StringBuilder();
        for (String line : netlist.split("\n")) {
            if (names.stream().noneMatch(line::startsWith)) {
                failed.append(started(line, ours)).append('\n');
            } else if (fault.how() == Fault.How.SHORT || line.startsWith("r")) {
                String[] words = line.split(" ");
                failed.append("rfailed%s %s %s %s%n"
                        .formatted(words[0], words[1], words[2], fault.how() == Fault.How.SHORT ? "0.1" : "1e16"));
            }
        }
        return failed.toString();
    }

    private static String started(String line, SteadyState ours) {
        if (line.startsWith("creservoir ")) {
            return line.replaceAll("ic=.*", "ic=" + 0.97 * ours.reservoir());
        }
        if (line.startsWith("csecond ")) {
            return line.replaceAll("ic=.*", "ic=" + 0.97 * ours.supply());
        }
        return line.startsWith(".tran") || line.startsWith(".meas") ? later(line) : line;
    }

    /** All of it four seconds later: a fault has its own time constants. */
    private static String later(String line) {
        String[] words = line.split(" ");
        for (int i = 0; i < words.length; i++) {
            if (line.startsWith(".tran") && (i == 2 || i == 3)) {
                words[i] = String.valueOf(Double.parseDouble(words[i]) + LATER);
            } else if (words[i].startsWith("from=") || words[i].startsWith("to=")) {
                String[] pair = words[i].split("=");
                words[i] = pair[0] + "=" + (Double.parseDouble(pair[1]) + LATER);
            }
        }
        return String.join(" ", words);
    }
}
