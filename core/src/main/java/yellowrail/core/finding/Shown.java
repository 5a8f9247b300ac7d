package yellowrail.core.finding;

import yellowrail.core.quantity.Unit;

/**
 * A number of a finding whose unit is the builder's own meter's.
 *
 * @param unit what the meter shows
 * @param si the number
 * @param toTurnTo whether it is told with the digits of a meter that is being watched
 */
public record Shown(Unit unit, double si, boolean toTurnTo) {

    public static Shown of(Unit unit, double si) {
        return new Shown(unit, si, false);
    }

    public static Shown toTurnTo(Unit unit, double si) {
        return new Shown(unit, si, true);
    }
}
