package yellowrail.core.bias.design;

import java.util.Optional;
import java.util.Set;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;

/**
 * What a bias supply is to reach.
 *
 * @param needed grid volts in the middle, V, negative
 * @param coldRoom so far beyond, V, &gt; 0
 * @param hotRoom so far short of it, V, &ge; 0
 * @param kinds how it may be wired
 */
public record Wish(double needed, double coldRoom, double hotRoom, Set<Kind> kinds) {

    public Wish {
        if (!(needed < 0 && coldRoom > 0 && hotRoom >= 0 && hotRoom < -needed)) {
            throw new IllegalArgumentException(
                    "a range lies below zero, was %s V, %s V to the cold and %s V to the hot side"
                            .formatted(needed, coldRoom, hotRoom));
        }
        kinds = Set.copyOf(kinds);
    }

    /** As far to both sides. */
    public static Wish of(double needed, double room, Set<Kind> kinds) {
        return new Wish(needed, room, room, kinds);
    }

    /**
     * As far to the cold side as is wished; to the hot side no further than half way to where the plates reach their
     * rating, for a limit outranks every wish and resistors are sold in steps.
     *
     * @return empty where the plates stand at their rating already
     */
    public static Optional<Wish> within(double needed, double room, Optional<GridNeed> need, Set<Kind> kinds) {
        double left = need.map(tubes -> tubes.hottestAllowed() - needed).orElse(Double.POSITIVE_INFINITY);
        double hot = Math.min(Math.min(room, -needed / 2), left / 2);
        return hot > 0 ? Optional.of(new Wish(needed, room, hot, kinds)) : Optional.empty();
    }

    /** V, negative. */
    double coldest() {
        return needed - coldRoom;
    }

    double hottest() {
        return needed + hotRoom;
    }

    /** The smaller of both, V. */
    double room() {
        return Math.min(coldRoom, hotRoom);
    }
}
