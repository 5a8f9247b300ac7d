package yellowrail.core.drawer;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A tube of the builder's.
 *
 * @param type type number
 * @param label what the builder wrote on it; with the type it names the tube
 * @param maker in the builder's words
 * @param markings in the builder's words
 * @param bought when
 */
public record DrawerTube(
        String type,
        String label,
        String maker,
        String markings,
        Optional<LocalDate> bought,
        TubeState state,
        String notes) {

    /** The same tube with another label. */
    public DrawerTube labelled(String other) {
        return new DrawerTube(type, other, maker, markings, bought, state, notes);
    }
}
