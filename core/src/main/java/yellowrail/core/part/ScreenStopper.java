package yellowrail.core.part;

/**
 * A resistor in the lead of a screen.
 *
 * @param ohms its value, ohm, &ge; 0
 * @param ratedWatts what it is rated for, W, &gt; 0
 */
public record ScreenStopper(double ohms, double ratedWatts) {

    public ScreenStopper {
        if (!(ohms >= 0 && ratedWatts > 0)) {
            throw new IllegalArgumentException(
                    "a screen stopper has ohms and watts, was %s ohm, %s W".formatted(ohms, ratedWatts));
        }
    }

    public double lostVolts(double amps) {
        return amps * ohms;
    }

    /** @param rms A */
    public double watts(double rms) {
        return rms * rms * ohms;
    }
}
