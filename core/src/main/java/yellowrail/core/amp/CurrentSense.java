package yellowrail.core.amp;

import java.util.OptionalDouble;
import yellowrail.core.quantity.Unit;

/**
 * How this amp's current is read.
 *
 * @param method the way
 * @param ohms the resistance at each test point, ohm; empty where the method needs none
 * @param tolerance of that resistance, as a ratio, &gt;= 0
 * @param shows what the meter shows at the test point: mV, V or mA
 * @param copperCold temperature at which a winding's resistance was measured, deg C
 * @param copperHot temperature of the winding while reading, deg C; empty when not known
 * @param otherAmps current through a supply resistor or choke that is not the power tubes', A
 */
public record CurrentSense(
        CurrentMethod method,
        OptionalDouble ohms,
        double tolerance,
        Unit shows,
        double copperCold,
        OptionalDouble copperHot,
        OptionalDouble otherAmps) {

    /** Room temperature at which resistances are usually measured, deg C. */
    public static final double ROOM = 20;

    public static CurrentSense across(CurrentMethod method, double ohms, double tolerance, Unit shows) {
        return new CurrentSense(
                method,
                OptionalDouble.of(ohms),
                tolerance,
                shows,
                ROOM,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    public static CurrentSense direct(CurrentMethod method) {
        return new CurrentSense(
                method, OptionalDouble.empty(), 0, Unit.MILLIAMP, ROOM, OptionalDouble.empty(), OptionalDouble.empty());
    }
}
