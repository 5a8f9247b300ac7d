package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * Volts over a published limit that the builder has taken on knowingly, once, for the tube type on the sheet. Watts are
 * never accepted.
 *
 * @param plateVolts built so, plate to cathode, up to this, V
 * @param screenVolts built so, screen to cathode, up to this, V
 */
public record Accepted(OptionalDouble plateVolts, OptionalDouble screenVolts) {

    public static final Accepted NONE = new Accepted(OptionalDouble.empty(), OptionalDouble.empty());
}
