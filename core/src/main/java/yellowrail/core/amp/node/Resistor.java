package yellowrail.core.amp.node;

import java.util.OptionalDouble;

/**
 * A resistor, or a choke by its copper.
 *
 * @param ohms &gt; 0
 * @param tolerance as a ratio
 * @param watts what it is rated for; empty where nobody wrote it down
 */
public record Resistor(double ohms, double tolerance, OptionalDouble watts) {

    /** Carbon composition of the time, and most of what is soldered today without a word. */
    public static final double USUAL_TOLERANCE = 0.05;

    public Resistor {
        if (!(ohms > 0 && ohms <= 1e9) || !(tolerance >= 0 && tolerance < 1) || !(watts.orElse(1) > 0)) {
            throw new IllegalArgumentException(
                    "a resistor has ohms and watts above 0, was %s ± %s".formatted(ohms, tolerance));
        }
    }

    public static Resistor of(double ohms) {
        return new Resistor(ohms, USUAL_TOLERANCE, OptionalDouble.empty());
    }
}
