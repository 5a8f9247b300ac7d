package yellowrail.core.timeline;

import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;

/**
 * What parts two states of the bench.
 *
 * @param what what happened
 * @param after the number of the last reading before it; a reading with a greater one came later
 * @param at when
 * @param place the socket, the pot, or the test point it was seen at; blank otherwise
 * @param way the way a pot was turned, the tube that was put in; blank otherwise
 * @param parts the hardware that differs since; none where none does
 */
public record Change(What what, long after, Instant at, String place, String way, Set<Hardware> parts) {

    /** What can happen at a bench. */
    public enum What {
        TUBE,
        SHEET,
        TURN,
        POWER_ON,
        POWER_OFF,
        MAINS,
        UNSAID
    }

    public Change {
        parts = parts.isEmpty() ? Set.of() : EnumSet.copyOf(parts);
    }

    static Change of(What what, long after, Instant at, String place, String way) {
        return new Change(what, after, at, place, way, Set.of());
    }

    /** Whether the bench stood still until it: the mains drift, and what was not said is not known to be a change. */
    boolean endsAStretch() {
        return what != What.MAINS && what != What.UNSAID;
    }

    /** Whether a new supply line begins with it. */
    public boolean isHardware() {
        return what == What.TUBE || !parts.isEmpty();
    }
}
