package yellowrail.core.bias.design;

import java.util.Set;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;

/**
 * What a bias supply is to reach.
 *
 * @param needed grid volts in the middle, V, negative
 * @param room so far to both sides, V, &gt; 0
 * @param kinds how it may be wired
 */
public record Wish(double needed, double room, Set<Kind> kinds) {

    public Wish {
        if (!(needed < 0 && room > 0 && room < -needed)) {
            throw new IllegalArgumentException(
                    "a range lies below zero, was %s plus or minus %s V".formatted(needed, room));
        }
        kinds = Set.copyOf(kinds);
    }

    /** V, negative. */
    double coldest() {
        return needed - room;
    }

    double hottest() {
        return needed + room;
    }
}
