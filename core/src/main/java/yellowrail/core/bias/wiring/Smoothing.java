package yellowrail.core.bias.wiring;

import java.util.OptionalDouble;

/**
 * What makes still DC of what the winding gives.
 *
 * @param seriesOhms on the AC side, ohm; 0 for none
 * @param reservoir first capacitor, F, &gt; 0
 * @param reservoirRating what it is rated for, V
 * @param feedOhms between the two capacitors, ohm; 0 for none
 * @param second second capacitor, F; 0 for none
 * @param secondRating what that is rated for, V
 */
public record Smoothing(
        double seriesOhms,
        double reservoir,
        OptionalDouble reservoirRating,
        double feedOhms,
        double second,
        OptionalDouble secondRating) {

    public Smoothing withSeries(double ohms) {
        return new Smoothing(ohms, reservoir, reservoirRating, feedOhms, second, secondRating);
    }

    /** With a reservoir rated for so many volts. */
    public Smoothing withRating(double volts) {
        return new Smoothing(seriesOhms, reservoir, OptionalDouble.of(volts), feedOhms, second, secondRating);
    }
}
