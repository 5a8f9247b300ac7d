package yellowrail.core.ring;

/**
 * What followed a tap: {@code level e^(-fall t) cos(2 pi hertz t - phase)}, t from the tap, the strongest that rang.
 *
 * @param at of the tap, s from the recording's begin
 * @param hertz of the ring
 * @param hertzPlusMinus what the noise leaves open, 95 %
 * @param fall 1/s; 0 or less where it does not fall
 * @param fallPlusMinus the same
 * @param level its crest at the tap, of full scale
 */
public record Ring(double at, double hertz, double hertzPlusMinus, double fall, double fallPlusMinus, double level) {

    /** Time constants to a thousandth. */
    private static final double TO_A_THOUSANDTH = Math.log(1000);

    /** Until it has fallen by 60 dB, s; infinite where it does not. */
    public double decay() {
        return decay(fall);
    }

    static double decay(double fall) {
        return fall > 0 ? TO_A_THOUSANDTH / fall : Double.POSITIVE_INFINITY;
    }

    /** Height so long after the tap, of full scale. */
    public double after(double seconds) {
        return level * Math.exp(-fall * seconds);
    }
}
