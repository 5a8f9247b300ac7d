package yellowrail.core.speed;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.runner.RunnerException;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.ToneAnalysis;
import yellowrail.core.wav.Sound;
import yellowrail.core.wav.WavBytes;
import yellowrail.core.wav.WavReader;

/**
 * Prints what a recording costs: {@code ./yellow-rail bench}. Aims: 10 s at 96 kHz of two channels under 400 ms, read
 * and measured; a block of 200 ms under 20 ms.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ToneBenchmark {

    private static final int FAST = 96_000;
    private static final int USUAL = 48_000;

    private final byte[] file = WavBytes.pcm(
            FAST,
            24,
            TestSignal.sine(1000.3, 0.5, 10).samples(FAST),
            TestSignal.sine(400, 0.4, 10).samples(FAST));
    private final double[] block = TestSignal.sine(1000.3, 0.5, 0.2).samples(USUAL);

    private static ToneAnalysis analysis(int perSecond) {
        return new ToneAnalysis(perSecond, 50, new Band(20, 20_000), OptionalDouble.empty());
    }

    @Benchmark
    public List<ToneAnalysis.Outcome> tenSecondsOfTwoChannels() throws IOException {
        Sound sound = WavReader.read(new ByteArrayInputStream(file));
        return analysis(sound.hertz()).of(sound.channels());
    }

    @Benchmark
    public ToneAnalysis.Outcome aBlockOfAFifthOfASecond() {
        return analysis(USUAL).of(block);
    }

    @Test
    void run() throws RunnerException {
        ComputationBenchmark.runAll(ToneBenchmark.class);
    }
}
