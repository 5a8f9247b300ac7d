package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * How screen current is counted, and what the screen hangs on.
 *
 * @param way how it is counted
 * @param stopperOhms screen stopper per tube, ohm; needed when measured as a voltage
 * @param connection what the screen hangs on
 * @param tap ultralinear tap as a ratio of the half primary; empty otherwise
 */
public record ScreenSense(Way way, OptionalDouble stopperOhms, Connection connection, OptionalDouble tap) {

    /** Of a screen stopper, whose tolerance nobody writes down. */
    public static final double STOPPER_TOLERANCE = 0.05;

    /** How screen current is taken off the cathode current. */
    public enum Way {
        TYPICAL,
        MEASURED,
        NOT_DEDUCTED
    }

    /** What the screen hangs on. */
    public enum Connection {
        PENTODE,
        ULTRALINEAR,
        TRIODE
    }
}
