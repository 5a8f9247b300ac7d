package yellowrail.core.amp.node;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A winding that heats, with what hangs on it.
 *
 * @param label what the builder calls it
 * @param volts what it is meant to give, V
 * @param ratedAmps what it is rated for, A; empty where nobody knows
 * @param bare what it gave with nothing on it, V; empty where that was not read
 * @param loaded what it gives with all of it on, V; likewise
 * @param loads what hangs on it
 */
public record HeaterWinding(
        String label,
        double volts,
        OptionalDouble ratedAmps,
        OptionalDouble bare,
        OptionalDouble loaded,
        List<Load> loads) {

    public static final int MOST_WINDINGS = 8;
    public static final int MOST_LOADS = 20;

    /**
     * Tubes, or lamps, of one kind.
     *
     * @param type number of a tube, or whatever else it is called
     * @param count how many
     * @param amps of each as the builder wrote it down, A; empty where the type tells
     */
    public record Load(String type, int count, OptionalDouble amps) {

        public Load {
            if (count < 1 || count > 99 || !(amps.orElse(1) > 0)) {
                throw new IllegalArgumentException("from 1 to 99 of a load, was %d of %s".formatted(count, type));
            }
        }
    }

    public HeaterWinding {
        loads = List.copyOf(loads);
        if (!(volts > 0)) {
            throw new IllegalArgumentException("a winding gives volts above 0, was " + volts);
        }
    }
}
