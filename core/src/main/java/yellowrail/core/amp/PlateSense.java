package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * Where plate voltage is read.
 *
 * @param point which end of the output transformer's half primary
 * @param reference what the black lead is on
 * @param halfPrimaryOhms resistance of half the primary (the whole, if single-ended), ohm; empty when not known
 */
public record PlateSense(Point point, Reference reference, OptionalDouble halfPrimaryOhms) {

    /** The probe's place. */
    public enum Point {
        PLATE,
        B_PLUS
    }

    /** The black lead's place. */
    public enum Reference {
        GROUND,
        CATHODE
    }
}
