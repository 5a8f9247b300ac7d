package yellowrail.core.stage;

import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.CircuitSimulator;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModels;

/**
 * Prints how long a sweep of loads takes here and in the circuit simulator, and the ratio: {@code ./yellow-rail bench}.
 */
class SimulatorBenchmark {

    private static final int LOADS = 12;

    @Test
    void sweep() throws Exception {
        assumeThat(CircuitSimulator.isInstalled()).isTrue();
        OutputStage stage = OutputStage.of(
                PublishedOperation.all().get(0),
                TubeModels.published().of(Amps.type("6L6GC")).orElseThrow().model());
        for (int i = 0; i < 200; i++) {
            Sweep.loads(stage, 2000, 16_000, LOADS);
        }
        long begun = System.nanoTime();
        for (int i = 0; i < 20; i++) {
            Sweep.loads(stage, 2000, 16_000, LOADS);
        }
        double ours = (System.nanoTime() - begun) / 20e9;
        List<Double> errors = new ArrayList<>();
        double theirs = 0;
        for (Sweep.Point point : Sweep.loads(stage, 2000, 16_000, LOADS).points()) {
            OutputStage there = stage.withLoad(point.at());
            SimulatedStage answer = SimulatedStage.run(new Netlist(new FullDrive(there).compute(), "sweep").write());
            theirs += answer.seconds();
            errors.add(Math.abs(point.watts() / (answer.volts() * answer.volts() / (2 * point.at())) - 1));
        }
        System.out.printf(
                "sweep of %d loads: %.2f ms here, %.1f s in ngspice (the same netlists, start of the program "
                        + "included), ratio %.0f; power apart by %.3f %% at most%n",
                LOADS,
                1e3 * ours,
                theirs,
                theirs / ours,
                100 * errors.stream().mapToDouble(Double::doubleValue).max().orElseThrow());
    }
}
