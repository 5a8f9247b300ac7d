package yellowrail.core.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.proof.ByCard;
import yellowrail.core.proof.Climb;
import yellowrail.core.proof.ClimbFinding;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.Hearing;
import yellowrail.core.tone.Tone;

/** A climb on a practice amp: it is listened to at each level, as a page does at a sound card. */
public final class PracticeClimb {

    /** Samples a second. */
    public static final int RATE = 48_000;

    private static final Band BAND = new Band(20, 20_000);
    private static final OptionalDouble FULL_SCALE = OptionalDouble.of(PracticeOutput.FULL_SCALE);
    private static final OptionalDouble LOAD = OptionalDouble.of(PracticeOutput.LOAD);
    private static final double LISTENS = 0.4;
    private static final double HOLDS = 3;
    /** Below where a climb to distortion ends, dB, and how it is played then. */
    private static final double DEPTH = 20;

    private static final int STEPS = 40;
    private static final int MOST_LEVELS = 120;
    private static final double STANDS = 0.8;

    private final PracticeOutput output;
    private final double mains;

    PracticeClimb(PracticeOutput output, double mains) {
        this.output = output;
        this.mains = mains;
    }

    /** @param signal that measures what was climbed to */
    public record Climbed(TestSignal signal, ClimbFinding says) {}

    public Climbed climb(Climb climb) {
        double level = Climb.BEGIN;
        Optional<Climb.Heard> before = Optional.empty();
        for (int levels = 0; levels < MOST_LEVELS; levels++) {
            Climb.Heard now = listen(climb, level);
            Climb.Next next = climb.next(now, before);
            if (next.isOver()) {
                return new Climbed(signal(climb, next.level()), next.says().get());
            }
            level = next.level();
            before = Optional.of(now);
        }
        return new Climbed(signal(climb, level), new ClimbFinding.Wanders(MOST_LEVELS));
    }

    private Climb.Heard listen(Climb climb, double level) {
        double[] heard = output.heard(TestSignal.sine(climb.hertz(), peak(level), LISTENS), RATE);
        Optional<Tone> tone =
                Hearing.of(List.of(heard), RATE, mains, BAND).get(0).outcome().tone();
        OptionalDouble watts = tone.map(each -> ByCard.watts(each.fundamental().rms(), FULL_SCALE, LOAD))
                .orElse(OptionalDouble.empty());
        return climb.heard(
                level, tone, watts, Arrays.stream(heard).map(Math::abs).max().orElse(0));
    }

    private static TestSignal signal(Climb climb, double level) {
        return climb.goal() == Climb.Goal.POWER
                ? TestSignal.sine(climb.hertz(), peak(level), HOLDS)
                : TestSignal.levels(climb.hertz(), peak(level - DEPTH), peak(level), STEPS, STANDS);
    }

    private static double peak(double level) {
        return Math.pow(10, level / 20);
    }
}
