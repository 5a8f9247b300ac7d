package yellowrail.core.practice;

import java.util.List;
import yellowrail.core.tube.model.TubeModel;

/**
 * A simulated output stage as it was built, faults included. SI.
 *
 * @param tubes by socket, in the order of the sheet
 * @param supply what feeds it
 * @param bias what holds the grids negative
 * @param senseOhms true resistance at each tube's test point, ohm; with cathode bias the cathode resistor
 * @param sharedBy tubes on each test point: the current of all of them flows through it
 * @param lifted whether that resistor makes the bias
 * @param mains what comes out of the wall
 * @param ratedWatts plate dissipation a tube stands, W
 */
public record Circuit(
        List<Tube> tubes,
        Supply supply,
        Bias bias,
        double senseOhms,
        int sharedBy,
        boolean lifted,
        Mains mains,
        double ratedWatts) {

    /** The same with another bias. */
    Circuit with(Bias other) {
        return new Circuit(tubes, supply, other, senseOhms, sharedBy, lifted, mains, ratedWatts);
    }

    /**
     * A tube in its socket.
     *
     * @param model its own currents
     * @param habit what they do while it stays on
     * @param push whether it sits on the push side
     * @param leak of the coupling capacitor of its socket
     */
    public record Tube(TubeModel model, Habit habit, boolean push, Leak leak) {

        /** Another tube in the same socket. */
        public Tube replacedBy(Tube other) {
            return new Tube(other.model(), other.habit(), push, leak);
        }
    }

    /**
     * What a tube's current does while it stays on, as ratios of the settled one.
     *
     * @param settles how far a fresh idle lies above it
     * @param tau how fast that goes, s
     * @param creep rise per minute once warm
     * @param runaway growth that rises by e every five minutes, at first
     */
    public record Habit(double settles, double tau, double creep, double runaway) {

        private static final double RUNAWAY_MINUTES = 5;

        /** As every good tube does. */
        public static final Habit GOOD = new Habit(0.03, 150, 0, 0);

        public static Habit creeping(double perMinute) {
            return new Habit(GOOD.settles, GOOD.tau, perMinute, 0);
        }

        /** The current over the settled one, so long after the cathode conducts. */
        double after(double seconds) {
            double minutes = Math.max(0, seconds / 60 - 1);
            return (1 + settles * Math.exp(-seconds / tau))
                    * (1 + creep * minutes + runaway * Math.expm1(minutes / RUNAWAY_MINUTES));
        }
    }

    /**
     * Volts that a leaking coupling capacitor adds to a grid.
     *
     * @param cold at once, V
     * @param perMinute more with each minute it gets warmer, V
     */
    public record Leak(double cold, double perMinute) {

        public static final Leak NONE = new Leak(0, 0);

        double volts(double seconds) {
            return cold + perMinute * Math.max(0, seconds / 60 - 1);
        }
    }

    /**
     * A supply that sags: {@code V = source m - ohms I - bend I^(2/3)}, the last the drop of a rectifier tube.
     *
     * @param source unloaded, at the reference mains, V
     * @param ohms of windings and choke, ohm
     * @param bend V/A^(2/3)
     * @param otherAmps of the rest of the amp, A
     * @param screenOhms between the plates' supply and the screens', from which the rest of the amp is fed too, ohm
     */
    public record Supply(double source, double ohms, double bend, double otherAmps, double screenOhms) {

        double volts(double amps, double mains) {
            return source * mains - ohms * amps - bend * Math.cbrt(amps * amps);
        }
    }

    /**
     * Where the grids are held.
     *
     * @param cold grid volts with every pot at its coldest end, V
     * @param hot grid volts at the hottest end, V
     * @param pots how each pot acts, in the order of the sheet
     * @param lifts how far to the hot side the range pot may be turned before its wiper leaves the track; 1 for never
     * @param open grid volts while it has left it, V
     */
    public record Bias(double cold, double hot, List<Pot> pots, double lifts, double open) {

        public Bias(double cold, double hot, List<Pot> pots) {
            this(cold, hot, pots, 1, 0);
        }

        /** Grid volts as far to the hot side, V. */
        double at(double turned) {
            return turned > lifts ? open : cold + (hot - cold) * turned;
        }
    }

    /** What turning a pot really does. */
    public enum PotAction {
        RANGE,
        BALANCE,
        NOTHING
    }

    /**
     * A pot as it is wired, whatever is written beside it.
     *
     * @param action what it does
     * @param clockwiseIsHotter which way
     */
    public record Pot(PotAction action, boolean clockwiseIsHotter) {}

    /**
     * The wall.
     *
     * @param reference V
     * @param offset how far it stands off the reference on average, as a ratio
     * @param wander how far it wanders either way, as a ratio
     * @param drift how far it goes in a minute, as a ratio, for half an hour
     */
    public record Mains(double reference, double offset, double wander, double drift) {

        private static final double DRIFTS = 30;

        public Mains(double reference, double offset, double wander) {
            this(reference, offset, wander, 0);
        }

        double drifted(double seconds) {
            return drift * Math.min(DRIFTS, seconds / 60);
        }
    }

    public Circuit {
        tubes = List.copyOf(tubes);
    }
}
