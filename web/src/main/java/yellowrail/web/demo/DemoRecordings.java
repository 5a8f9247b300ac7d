package yellowrail.web.demo;

import java.util.stream.LongStream;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.PracticeOutput;
import yellowrail.core.practice.Workshop;
import yellowrail.core.signal.TestSignal;

/**
 * What a sound card heard of the first amp of the demo, for which a practice amp of its type stands in on its
 * transformer.
 */
final class DemoRecordings {

    private static final String TYPE = "6L6GC";
    private static final int RATE = 48_000;
    private static final double IDLE = 0.0352;
    private static final double KNOB = 0.005;
    private static final double WARM = 600;
    private static final double QUIETEST = 0.05;
    private static final double LOUDEST = 0.62;

    private final Bench bench = set();
    private final PracticeOutput output =
            bench.output(DemoFittings.COLD_PAIR.loadOhms().orElseThrow());

    /** Turned up until it idles like the amp of the demo. */
    private static Bench set() {
        Workshop workshop = LongStream.iterate(1, seed -> seed + 4_000_000_007L)
                .mapToObj(seed -> new Workshop(Exercise.NOTHING_WRONG, seed))
                .filter(each -> each.sheet("", "").tubeType().equals(TYPE))
                .findFirst()
                .orElseThrow();
        Bench bench = workshop.bench();
        bench.power(true);
        bench.advance(WARM);
        for (double knob = 0; knob < 1 && bench.idle().cathodeAmps(0) < IDLE; knob += KNOB) {
            bench.turn(0, knob);
        }
        return bench;
    }

    /** A tone of about a watt. */
    TestSignal tone() {
        return TestSignal.sine(1000, 0.093, 4);
    }

    /** From half a watt into clipping. */
    TestSignal steps() {
        return TestSignal.levels(1000, QUIETEST, LOUDEST, 36, 0.6);
    }

    PracticeOutput.Played played(TestSignal signal) {
        return output.play(signal, RATE);
    }

    /** Its tubes tapped four times each. */
    byte[] tapped(int socket) {
        return bench.tapped(socket, RATE);
    }
}
