package yellowrail.core.speed;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import yellowrail.core.Amps;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.Workshop;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Timeline;

/** Prints what the computation costs: {@code ./yellow-rail bench}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ComputationBenchmark {

    private final StageIdle stage = Amps.stage(Amps.pair());
    private List<Reading> readings;
    private List<Reading> tenThousand;
    private Bench bench;

    @Setup
    public void twoHundredReadings() {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            double milliamps = 22 + 0.5 * i;
            double volts = 494.5 - 0.477 * (20 + 2 * milliamps) + 0.3 * Math.sin(i);
            lines.add("V1 %.1f V2 %.1f plate %.1f bias %.1f mains %.1f"
                    .formatted(milliamps, milliamps * 0.97, volts, -51 + 0.2 * i, 120 + 0.6 * Math.cos(i)));
        }
        readings = Amps.readings(Amps.pair(), lines.toArray(String[]::new));
        tenThousand = IntStream.range(0, 10_000 / readings.size())
                .boxed()
                .flatMap(round -> readings.stream()
                        .map(reading -> new Reading(
                                reading.id() + (long) round * readings.size(),
                                reading.entry(),
                                reading.takenAt().plusSeconds(3600L * round),
                                reading.line() + (long) round * readings.size(),
                                1)))
                .toList();
        bench = new Workshop(Exercise.MISMATCHED_PAIR, 7).bench();
        bench.power(true);
        bench.advance(60);
    }

    @Benchmark
    public Finding timelineOfTenThousandReadingsAndItsVerdict() {
        return StageSummary.of(Amps.timeline(Amps.pair(), tenThousand)).sentence();
    }

    @Benchmark
    public NextMove fitAndNextMove() {
        return Amps.move(Amps.pair(), readings).orElseThrow();
    }

    @Benchmark
    public OperatingMap fitNextMoveAndMap() {
        Timeline timeline = Amps.timeline(Amps.pair(), readings);
        NextMove move = MoveFinder.of(timeline).find().orElseThrow();
        return OperatingMap.of(stage, Track.of(stage, timeline), move);
    }

    @Benchmark
    public Bench oneSimulatedSecond() {
        bench.advance(1);
        return bench;
    }

    @Test
    void run() throws RunnerException {
        runAll(ComputationBenchmark.class);
    }

    static void runAll(Class<?> benchmarks) throws RunnerException {
        new Runner(new OptionsBuilder()
                        .include(benchmarks.getName())
                        .forks(1)
                        .warmupIterations(6)
                        .warmupTime(TimeValue.seconds(1))
                        .measurementIterations(5)
                        .measurementTime(TimeValue.seconds(1))
                        .build())
                .run();
    }
}
