package yellowrail.core.audit;

import java.util.OptionalDouble;

/**
 * A resistor, or a choke by its copper, between two nodes or a node and {@value #GROUND}.
 *
 * @param from the end that is taken to be the higher; where it is not, its current is negative
 * @param to the other
 * @param ohms &gt; 0
 * @param tolerance as a ratio, &gt;= 0
 * @param watts what it is rated for; empty where nobody knows
 */
public record Part(String from, String to, double ohms, double tolerance, OptionalDouble watts) {

    public static final String GROUND = "ground";

    public Part {
        if (!(ohms > 0 && ohms < Double.POSITIVE_INFINITY) || !(tolerance >= 0 && tolerance < 1)) {
            throw new IllegalArgumentException(
                    "a part has ohms above 0 and a tolerance from 0 to 1, was %s ± %s".formatted(ohms, tolerance));
        }
        if (from.equals(to)) {
            throw new IllegalArgumentException("both ends of a part are at " + from);
        }
    }

    String otherEnd(String node) {
        return from.equals(node) ? to : from;
    }
}
