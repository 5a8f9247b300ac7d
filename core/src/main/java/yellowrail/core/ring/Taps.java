package yellowrail.core.ring;

import java.util.List;

/**
 * The taps of a recording, each with what rang after it.
 *
 * @param struck when something was struck, s
 * @param rings of those that anything rang after
 */
public record Taps(List<Double> struck, List<Ring> rings) {

    public Taps {
        struck = List.copyOf(struck);
        rings = List.copyOf(rings);
    }
}
