package yellowrail.core.speed;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.runner.RunnerException;
import yellowrail.core.Amps;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Matching;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.swap.SwapCheck;
import yellowrail.core.swap.SwapReport;

/** Prints what matching a large drawer and the table of all swaps cost: {@code ./yellow-rail bench}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class TubesBenchmark {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private final List<Candidate> drawer = drawer();
    private final SwapAmp amp = new SwapAmp(
            Topology.PUSH_PULL,
            BiasKind.FIXED_ADJUSTABLE,
            ScreenSense.Connection.PENTODE,
            2,
            1,
            OptionalDouble.of(452),
            OptionalDouble.of(444),
            OptionalDouble.of(0.036),
            OptionalDouble.of(-46.8),
            NO,
            1,
            NO,
            OptionalDouble.of(0.020),
            NO,
            Target.FIXED_BIAS,
            Fittings.UNKNOWN.withHeaters(5, 1.2));

    private static List<Candidate> drawer() {
        Random chance = new Random(1);
        return IntStream.range(0, 2000)
                .mapToObj(i -> new Candidate(
                        "T" + i,
                        0.035 * Math.exp(0.12 * chance.nextGaussian()),
                        OptionalDouble.of(0.0055 * Math.exp(0.08 * chance.nextGaussian()))))
                .toList();
    }

    /** Aim: under 2 s. */
    @Benchmark
    public Matching.Result pairsOfTwoThousand() {
        return new Matching(drawer, 2, NO).find();
    }

    /** Aim: under 5 s. */
    @Benchmark
    public Matching.Result quadsOfTwoThousand() {
        return new Matching(drawer, 4, NO).find();
    }

    /** Aim: under 100 ms. */
    @Benchmark
    public List<SwapReport> swapTableOfAllTypes() {
        return new SwapCheck(amp, Amps.type("6L6GC")).all(Amps.CATALOGUE);
    }

    @Test
    void run() throws RunnerException {
        ComputationBenchmark.runAll(TubesBenchmark.class);
    }
}
