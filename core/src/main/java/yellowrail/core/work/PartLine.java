package yellowrail.core.work;

import java.util.Optional;

/**
 * A line of a parts list.
 *
 * @param deed what is done with it
 * @param what the part: a {@link WorkPart} or a kind of part of a bias supply
 * @param count how many alike
 * @param value each; empty where it has none
 * @param rating what it has to stand at least; empty where it only comes out
 */
public record PartLine(Deed deed, Enum<?> what, int count, Optional<Amount> value, Optional<Amount> rating) {

    /** What is done with a part. */
    public enum Deed {
        FIT,
        TAKE_OUT,
        STAYS
    }
}
