package yellowrail.core.bias.circuit;

/**
 * A winding, or a half of one, and what the current of its two directions may do. A half wave feeds the reservoir in
 * one direction; behind a coupling capacitor the other is clamped to ground, or no charge would come back; a bridge
 * feeds it in both.
 *
 * @param sign which half of a tapped winding, +1 or -1
 * @param ahead while the winding drives the reservoir
 * @param back in the other direction
 * @param shorted whether wire stands where the diode should: the current goes to the reservoir and back
 */
public record Way(int sign, Path ahead, Path back, boolean shorted) {

    public static Way halfWave(int sign) {
        return new Way(sign, Path.feeds(1), Path.BLOCKED, false);
    }

    public static Way clamped(int sign) {
        return new Way(sign, Path.feeds(1), Path.clamps(1), false);
    }

    public static Way bridge() {
        return new Way(1, Path.feeds(2), Path.feeds(2), false);
    }

    public Way asShorted() {
        return new Way(sign, ahead, back, true);
    }

    /** With nothing in the direction that feeds first. */
    public Way with(Path otherAhead, Path otherBack) {
        return new Way(sign, otherAhead, otherBack, shorted);
    }
}
