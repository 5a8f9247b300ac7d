package yellowrail.core.amp.node;

import java.util.OptionalDouble;

/**
 * The capacitors at a node.
 *
 * @param farads of each, F
 * @param volts what each is rated for, V
 * @param inSeries how many stand on one another, 1 for a single one
 * @param bleederOhms across each; empty for none
 */
public record Bank(double farads, double volts, int inSeries, OptionalDouble bleederOhms) {

    public static final int MOST_IN_SERIES = 4;

    public Bank {
        if (!(farads > 0)
                || !(volts > 0)
                || inSeries < 1
                || inSeries > MOST_IN_SERIES
                || !(bleederOhms.orElse(1) > 0)) {
            throw new IllegalArgumentException(
                    "capacitors have farads and volts above 0, was %d x %s F %s V".formatted(inSeries, farads, volts));
        }
    }

    /** What the whole is rated for where it shares alike, V. */
    public double ratedVolts() {
        return volts * inSeries;
    }

    /** Of the whole, F. */
    public double wholeFarads() {
        return farads / inSeries;
    }

    /** Of all bleeders together, ohm; empty for none. */
    public OptionalDouble wholeBleeder() {
        return bleederOhms.isPresent()
                ? OptionalDouble.of(inSeries * bleederOhms.getAsDouble())
                : OptionalDouble.empty();
    }
}
