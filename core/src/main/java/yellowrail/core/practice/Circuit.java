package yellowrail.core.practice;

import java.util.List;
import yellowrail.core.tube.model.PentodeModel;

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

    /**
     * A tube in its socket.
     *
     * @param model its own currents
     * @param creep rise of its current per minute once warm, as a ratio
     * @param push whether it sits on the push side
     * @param gridLeak volts that a leaking coupling capacitor of the socket adds to its grid
     */
    public record Tube(PentodeModel model, double creep, boolean push, double gridLeak) {

        /** Another tube in the same socket. */
        public Tube replacedBy(Tube other) {
            return new Tube(other.model(), other.creep(), push, gridLeak);
        }
    }

    /**
     * A supply that sags: {@code V = source m - ohms I - bend I^(2/3)}, the last the drop of a rectifier tube.
     *
     * @param source unloaded, at the reference mains, V
     * @param ohms of windings and choke, ohm
     * @param bend V/A^(2/3)
     * @param otherAmps of the rest of the amp, A
     * @param screenOhms between the plates' supply and the screens', ohm
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
     */
    public record Bias(double cold, double hot, List<Pot> pots) {}

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
     */
    public record Mains(double reference, double offset, double wander) {}

    public Circuit {
        tubes = List.copyOf(tubes);
    }
}
