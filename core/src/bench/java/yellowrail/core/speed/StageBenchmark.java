package yellowrail.core.speed;

import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.runner.RunnerException;
import yellowrail.core.Amps;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.Sweep;
import yellowrail.core.stage.WorstCase;
import yellowrail.core.tube.model.TubeModels;

/** Prints what a load line and a sweep cost: {@code ./yellow-rail bench}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class StageBenchmark {

    private final OutputStage plain = stage(Topology.PUSH_PULL, OutputStage.Bias.fixed(-37), 0, 0);
    private final OutputStage hardest = stage(Topology.SINGLE_ENDED, OutputStage.Bias.cathode(350), 120, 300);

    private static OutputStage stage(Topology topology, OutputStage.Bias bias, double copper, double sag) {
        return new OutputStage(
                TubeModels.published().of(Amps.type("6L6GC")).orElseThrow().model(),
                topology,
                1,
                400,
                350,
                Connection.PENTODE,
                0,
                bias,
                5600,
                new OutputStage.Losses(copper, copper, sag, sag, 0));
    }

    /** Aim: under 2 ms. */
    @Benchmark
    public Performance loadLineOf256Steps() {
        return new FullDrive(plain).compute();
    }

    /** Single-ended, cathode bias, copper, both supplies sagging. Aim: under 2 ms. */
    @Benchmark
    public Performance hardestLoadLineOf256Steps() {
        return new FullDrive(hardest).compute();
    }

    /** Aim: under 100 ms. */
    @Benchmark
    public Sweep sweepOf60Loads() {
        return Sweep.loads(plain, 1500, 20_000, 60);
    }

    /** Aim: under 100 ms. */
    @Benchmark
    public Sweep hardestSweepOf60Loads() {
        return Sweep.loads(hardest, 1500, 20_000, 60);
    }

    /** From rest to full drive, sine and square. Aim: under 5 ms. */
    @Benchmark
    public WorstCase worstCase() {
        return WorstCase.of(plain);
    }

    /** Aim: under 5 ms. */
    @Benchmark
    public WorstCase hardestWorstCase() {
        return WorstCase.of(hardest);
    }

    @Test
    void run() throws RunnerException {
        ComputationBenchmark.runAll(StageBenchmark.class);
    }
}
