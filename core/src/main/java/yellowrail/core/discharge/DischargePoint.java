package yellowrail.core.discharge;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.reading.Reading;

/**
 * A capacitor on the discharge walk.
 *
 * @param label its node
 * @param reading what it was last read to hold since the amp was switched off
 * @param from what it may stand at when the plug comes out; empty where nobody knows
 * @param seconds its bleeders and what joins them need to bring it under 5 V; empty where nothing does, or nobody knows
 * @param bleederOhms of its own; empty for none
 * @param state how it stands
 */
public record DischargePoint(
        String label,
        Optional<Reading> reading,
        Optional<ColdVolts> from,
        OptionalDouble seconds,
        OptionalDouble bleederOhms,
        State state) {

    /** How a capacitor stands. */
    public enum State {
        /** Read to hold more than 5 V. */
        HOLDS,
        NOT_READ,
        DRAINED
    }
}
