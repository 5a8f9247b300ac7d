package yellowrail.core.audit;

import java.util.OptionalDouble;

/**
 * What a part carries.
 *
 * @param part the part
 * @param amps from its first end to its second, A
 * @param plusMinus half of its 95 % interval, A
 * @param watts what it burns, W
 */
public record PartCurrent(Part part, double amps, double plusMinus, double watts) {

    /** Its watts over its rating, as a ratio; empty where that is not known. */
    public OptionalDouble ofRating() {
        return part.watts().isPresent()
                ? OptionalDouble.of(watts / part.watts().getAsDouble())
                : OptionalDouble.empty();
    }
}
