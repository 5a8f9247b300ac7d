package yellowrail.core.idle;

import java.util.OptionalDouble;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.tube.TubeType;

/**
 * What was read at one tube, and how. SI throughout.
 *
 * @param sense how current is read
 * @param senseReading what the test point showed, V across a resistance or A
 * @param senseIsVolts whether that is a voltage
 * @param sharedBy tubes that share the test point, &gt;= 1
 * @param plate where plate voltage is read
 * @param plateReading what was read there, V
 * @param tubesOnHalfPrimary tubes on the same half of the output transformer, &gt;= 1
 * @param cathodeVolts cathode to ground, V, where read by itself; empty when the current's resistor tells it
 * @param way how screen current is counted
 * @param screenShare the type's typical share, 0..1
 * @param screenSpread how far a tube’s own may lie from it, as a part of it
 * @param screenAmps screen current as measured, A; empty unless measured
 * @param screenAmpsPlusMinus its 95 % half width, A
 * @param screenVolts screen voltage to the same reference as the plate's, V; empty when not read
 * @param meter the meter's accuracy
 * @param plateDigit last digit of the plate reading as typed, V; 0 where it was not
 * @param senseDigit the same of the reading at the test point, SI
 */
public record IdleProblem(
        CurrentSense sense,
        double senseReading,
        boolean senseIsVolts,
        int sharedBy,
        PlateSense plate,
        double plateReading,
        int tubesOnHalfPrimary,
        OptionalDouble cathodeVolts,
        ScreenSense.Way way,
        double screenShare,
        double screenSpread,
        OptionalDouble screenAmps,
        double screenAmpsPlusMinus,
        OptionalDouble screenVolts,
        MeterAccuracy meter,
        double plateDigit,
        double senseDigit) {

    public IdleProblem(
            CurrentSense sense,
            double senseReading,
            boolean senseIsVolts,
            int sharedBy,
            PlateSense plate,
            double plateReading,
            int tubesOnHalfPrimary,
            OptionalDouble cathodeVolts,
            ScreenSense.Way way,
            double screenShare,
            OptionalDouble screenAmps,
            double screenAmpsPlusMinus,
            OptionalDouble screenVolts,
            MeterAccuracy meter) {
        this(
                sense,
                senseReading,
                senseIsVolts,
                sharedBy,
                plate,
                plateReading,
                tubesOnHalfPrimary,
                cathodeVolts,
                way,
                screenShare,
                TubeType.SCREEN_SHARE_SPREAD,
                screenAmps,
                screenAmpsPlusMinus,
                screenVolts,
                meter,
                0,
                0);
    }

    public IdleProblem {
        if (sharedBy < 1) {
            throw new IllegalArgumentException("tubes sharing a test point must be 1 or more, was " + sharedBy);
        }
        if (tubesOnHalfPrimary < 1) {
            throw new IllegalArgumentException(
                    "tubes on half the primary must be 1 or more, was " + tubesOnHalfPrimary);
        }
        if (senseIsVolts && !(sense.ohms().orElse(0) > 0)) {
            throw new IllegalArgumentException(
                    "a voltage is a current only across a resistance of more than 0 ohm, was " + sense.ohms());
        }
        if (way == ScreenSense.Way.MEASURED && screenAmps.isEmpty()) {
            throw new IllegalArgumentException("screen current counted as measured needs a measured screen current");
        }
    }
}
