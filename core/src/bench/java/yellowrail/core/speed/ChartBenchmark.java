package yellowrail.core.speed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import yellowrail.core.LargeChart;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.schematic.Schematic;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.walk.AmpAudit;
import yellowrail.core.walk.AuditTeller;
import yellowrail.core.walk.ChartCheck;
import yellowrail.core.walk.WalkFinding;

/** Prints what a chart of 200 nodes, all read, costs: {@code ./yellow-rail bench}. Aim of all three: under 30 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ChartBenchmark {

    private final AmpSheet sheet = Amps.pair().with(LargeChart.OF_200);
    private final Timeline timeline = Amps.timeline(sheet, LargeChart.lines());
    private final ChartCheck check = new ChartCheck(timeline, Map.of());

    @Benchmark
    public ChartCheck verdicts() {
        return new ChartCheck(timeline, Map.of());
    }

    @Benchmark
    public List<WalkFinding> audit() {
        AmpAudit audit = new AmpAudit(check, sheet, StageSummary.of(timeline).tubes());
        return new AuditTeller(audit, sheet, Optional.empty()).says();
    }

    @Benchmark
    public Schematic drawing() {
        return Schematic.of(check, 1280);
    }

    @Test
    void run() throws RunnerException {
        ComputationBenchmark.runAll(ChartBenchmark.class);
    }
}
