package yellowrail.core.amp;

import java.util.List;
import java.util.OptionalDouble;

/**
 * The output transformer, as far as the builder has written it down.
 *
 * @param taps speakers its taps are meant for, ohm, rising; the primary shows its nominal load with each on its own
 * @param copperOhms of the whole primary, ohm
 * @param hookups the builder’s own speakers, each as {@code 8||8} or {@code 16@16}
 */
public record Iron(List<Double> taps, OptionalDouble copperOhms, List<String> hookups, Core core) {

    public static final Iron UNKNOWN = new Iron(List.of(), OptionalDouble.empty(), List.of());

    /** One of whose core nothing is known. */
    public Iron(List<Double> taps, OptionalDouble copperOhms, List<String> hookups) {
        this(taps, copperOhms, hookups, Core.UNKNOWN);
    }

    public Iron {
        taps = taps.stream().sorted().toList();
        hookups = List.copyOf(hookups);
    }
}
