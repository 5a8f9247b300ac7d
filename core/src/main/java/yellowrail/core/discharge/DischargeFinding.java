package yellowrail.core.discharge;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What a discharge walk has to say. */
public sealed interface DischargeFinding extends Finding {

    /** By the log the amp is on, or nobody said that it is off. */
    record SwitchOffFirst() implements DischargeFinding {}

    record HandsStayOut(List<String> labels) implements DischargeFinding {}

    record AllUnderFive(@In(value = Unit.VOLT, given = true) double most, long minutes) implements DischargeFinding {}

    /** A capacitor recovers some volts by itself: what was read a while ago is to be read again. */
    record ReadAgain(long minutes) implements DischargeFinding {}

    record Holds(
            String label,
            @In(value = Unit.VOLT, given = true) double volts) implements DischargeFinding {}

    record BleederOpen(
            String label,
            @In(value = Unit.VOLT, given = true) double volts,
            @In(Unit.VOLT) double should,
            @In(value = Unit.KILOHM, given = true) double ohms)
            implements DischargeFinding {}

    record NothingDrainsIt(
            String label,
            @In(value = Unit.VOLT, given = true) double volts) implements DischargeFinding {}

    record DrainsIn(@In(value = Unit.SECOND, decimals = 0) double seconds) implements DischargeFinding {}

    record DrainsInMinutes(
            @In(value = Unit.MINUTE, decimals = 0) double seconds) implements DischargeFinding {}

    record NothingDrains() implements DischargeFinding {}

    record StandbyJoins() implements DischargeFinding {}
}
