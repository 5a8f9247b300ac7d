package yellowrail.core.proof;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.tone.Line;
import yellowrail.core.tone.Tone;
import yellowrail.core.tone.Tops;

/**
 * How a test tone is made louder while the amp is listened to, level by level: until a power is reached, or until it
 * clips. It begins far down, never more than doubles, and stops where anything is not as it should be: nothing comes
 * back, the card is full, or it got louder by more than was asked for, as when a hand is on the volume control.
 *
 * @param goal what it climbs to
 * @param mark watts; or distortion, as a part of the fundamental, that is to be passed once it clips, if the card gives
 *     so much
 * @param hertz of the tone that is played
 */
public record Climb(Goal goal, double mark, double hertz) {

    /** Where a climb begins, dB of what the card gives at most. */
    public static final double BEGIN = -40;

    private static final double TOP = 0;
    /** Something must have come back by then, dB. */
    private static final double HEARD_BY = -20;

    private static final double DOUBLE = 6;
    private static final double JUMP = 6;
    /** A power this near is that power. */
    private static final double NEAR = 0.03;

    private static final double FULL = 0.985;
    /** Samples a second. */
    private static final double USUAL_RATE = 48_000;

    /** Of its frequency. */
    private static final double SAME_TONE = 0.03;

    /** Tops, and the steps that go with them, dB. */
    private static final double ROUND = 0.9;

    private static final double HARDLY_ROUND = 0.75;
    private static final double FAR = 2;

    private static final double NEARER = 1;
    private static final double FINE = 0.5;
    /** Beyond, a power is not asked for any longer. */
    private static final double CLIPS = 0.1;

    /** What is climbed to. */
    public enum Goal {
        POWER,
        /** Tops are flat, and distortion has passed the mark or the card gives no more. */
        CLIPPING
    }

    /**
     * What was heard while a level stood.
     *
     * @param level it stood at, dB
     * @param heard RMS of full scale at the card; empty where no tone was
     * @param watts empty where load or scale is not known
     * @param distortion by those harmonics that stand out of the noise
     * @param roundness of its tops; empty where it cannot be told
     * @param peak of full scale at the card
     */
    public record Heard(
            double level,
            OptionalDouble heard,
            OptionalDouble watts,
            double distortion,
            OptionalDouble roundness,
            double peak) {}

    /**
     * What comes next.
     *
     * @param level to be set, dB; the one that stands where it is over
     * @param says why it is over; empty while it goes on
     */
    public record Next(double level, Optional<ClimbFinding> says) {

        public boolean isOver() {
            return says.isPresent();
        }
    }

    public Climb {
        if (!(mark > 0 && hertz > 0)) {
            throw new IllegalArgumentException("a mark of %s at %s Hz".formatted(mark, hertz));
        }
    }

    /** Whether a card hears of a tone that its tops are flat: enough harmonics lie below half its rate. */
    public static boolean hearsClipping(double hertz) {
        return Tops.FEWEST * hertz <= USUAL_RATE / 2;
    }

    /**
     * What a block tells of the tone; another one, such as hum that is louder, is not it.
     *
     * @param level it stood at, dB
     * @param tone that was found, whatever it is
     * @param watts of it
     * @param peak of full scale at the card
     */
    public Heard heard(double level, Optional<Tone> tone, OptionalDouble watts, double peak) {
        Optional<Tone> own = tone.filter(found -> Math.abs(found.fundamental().hertz() / hertz - 1) < SAME_TONE);
        return new Heard(
                level,
                own.isPresent() ? OptionalDouble.of(own.get().fundamental().rms()) : OptionalDouble.empty(),
                own.isPresent() ? watts : OptionalDouble.empty(),
                own.map(Climb::standingOut).orElse(0.0),
                own.map(Tops::roundness).orElse(OptionalDouble.empty()),
                peak);
    }

    private static double standingOut(Tone tone) {
        double power = tone.harmonics().stream()
                .skip(1)
                .filter(line -> tone.band().has(line.hertz()) && tone.standsOut(line))
                .mapToDouble(Line::power)
                .sum();
        return Math.sqrt(power / tone.fundamental().power());
    }

    /** @param before what was heard at the level before this one; empty for the first */
    public Next next(Heard now, Optional<Heard> before) {
        return stops(now, before)
                .map(why -> new Next(now.level(), Optional.of(why)))
                .orElseGet(() -> goal == Goal.POWER ? toPower(now) : toClipping(now, before));
    }

    private Optional<ClimbFinding> stops(Heard now, Optional<Heard> before) {
        if (now.peak() >= FULL) {
            return Optional.of(new ClimbFinding.CardFull());
        }
        if (now.heard().isEmpty()) {
            return now.level() >= HEARD_BY ? Optional.of(new ClimbFinding.NothingComesBack()) : Optional.empty();
        }
        return before.filter(then -> then.heard().isPresent())
                .map(then ->
                        decibels(now.heard().getAsDouble() / then.heard().getAsDouble()) - (now.level() - then.level()))
                .filter(more -> more > JUMP)
                .map(ClimbFinding.Jumped::new);
    }

    private Next toPower(Heard now) {
        if (now.heard().isEmpty()) {
            return up(now, DOUBLE);
        }
        if (now.watts().isEmpty()) {
            return over(now, new ClimbFinding.NoWatts());
        }
        double watts = now.watts().getAsDouble();
        if (Math.abs(watts / mark - 1) <= NEAR) {
            return over(now, new ClimbFinding.PowerReached(watts));
        }
        if (watts < mark && now.distortion() >= CLIPS) {
            return over(now, new ClimbFinding.ClipsBefore(watts, now.distortion()));
        }
        return up(now, Math.min(DOUBLE, 10 * Math.log10(mark / watts)));
    }

    /** What distorts while the tops are round, or less as the level rises, is crossover and no clipping. */
    private Next toClipping(Heard now, Optional<Heard> before) {
        boolean rises =
                before.filter(then -> now.distortion() > then.distortion()).isPresent();
        double roundness = now.roundness().orElse(rises ? 1 - now.distortion() / mark : 1);
        boolean farEnough = now.distortion() >= mark || now.level() >= TOP;
        if (rises && farEnough && roundness < Tops.FLAT) {
            return over(now, new ClimbFinding.Clips(now.distortion()));
        }
        return up(now, roundness > ROUND ? FAR : roundness > HARDLY_ROUND ? NEARER : FINE);
    }

    private static Next up(Heard now, double step) {
        return step > 0 && now.level() >= TOP
                ? over(now, new ClimbFinding.NoHigher())
                : new Next(Math.min(TOP, now.level() + step), Optional.empty());
    }

    private static Next over(Heard now, ClimbFinding why) {
        return new Next(now.level(), Optional.of(why));
    }

    private static double decibels(double ratio) {
        return 20 * Math.log10(ratio);
    }
}
