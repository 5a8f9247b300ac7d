package yellowrail.core.bias.design;

import java.util.Set;
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
