package yellowrail.core.part.stress;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of the parts about an output stage. */
public sealed interface PartRemark extends Finding {

    // Sense resistor

    /** It has opened before the tube draws all it can. */
    record SenseOpens(
            @In(value = Unit.AMP, decimals = 2) double by,
            @In(value = Unit.AMP, decimals = 2) double most) implements PartRemark {}

    record SenseMayOpen(
            @In(value = Unit.AMP, decimals = 2) double from,
            @In(value = Unit.AMP, decimals = 2) double by,
            @In(value = Unit.AMP, decimals = 2) double most)
            implements PartRemark {}

    record SenseNeverOpens(
            @In(value = Unit.AMP, decimals = 2) double from,
            @In(value = Unit.AMP, decimals = 2) double most) implements PartRemark {}

    record SenseOpensInUse(
            @In(value = Unit.AMP, decimals = 2) double from,
            @In(value = Unit.AMP, decimals = 2) double drive) implements PartRemark {}

    record SenseOverAtDrive(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rated) implements PartRemark {}

    record NotMadeToOpen() implements PartRemark {}

    record CopperBears(
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.MINUTE, decimals = 0) double seconds) implements PartRemark {}

    record CopperBearsForGood(
            @In(value = Unit.AMP, decimals = 2) double amps) implements PartRemark {}

    /** The resistor is stronger than the winding. */
    record CopperGoesFirst(
            @In(value = Unit.AMP, decimals = 2) double opens,
            @In(value = Unit.AMP, decimals = 2) double copper) implements PartRemark {}

    // Screen stopper

    record StopperHolds(
            @In(Unit.WATT) double overdriven,
            @In(value = Unit.WATT, given = true) double rated) implements PartRemark {}

    record StopperOver(
            @In(Unit.WATT) double overdriven,
            @In(value = Unit.WATT, given = true) double rated,
            @In(value = Unit.WATT, given = true) double take)
            implements PartRemark {}

    record NoStopper() implements PartRemark {}

    // Capacitors

    /** What a capacitor is working at. */
    enum Working {
        RUNNING,
        RUNNING_AT_HIGH_MAINS,
        COLD,
        COLD_AT_HIGH_MAINS
    }

    record CapacitorPassed(
            Working working,
            @In(value = Unit.VOLT, decimals = 0) double volts,
            @In(value = Unit.VOLT, given = true) double rated)
            implements PartRemark {}

    record CapacitorHolds(
            Working working,
            @In(value = Unit.VOLT, decimals = 0) double volts,
            @In(value = Unit.VOLT, given = true) double rated,
            @In(value = Unit.PERCENT, decimals = 0) double spare)
            implements PartRemark {}

    record CapacitorNotRated(
            Working working,
            @In(value = Unit.VOLT, decimals = 0) double volts) implements PartRemark {}

    record RippleOver(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rated) implements PartRemark {}

    record RippleHolds(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rated) implements PartRemark {}

    record RippleToBear(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements PartRemark {}

    record WindingDoesNotFit(
            @In(value = Unit.VOLT, given = true) double winding,
            @In(value = Unit.VOLT, decimals = 0) double read) implements PartRemark {}

    record WindingTaken(@In(value = Unit.VOLT, decimals = 0) double winding) implements PartRemark {}

    record ReservoirTaken(
            @In(value = Unit.MICROFARAD, given = true) double farads) implements PartRemark {}

    record Lasts(@In(value = Unit.CELSIUS, given = true) double celsius, double years) implements PartRemark {}

    record LastsAsLongAsItsSeal(double years) implements PartRemark {}

    // Fuses

    record Take(
            @In(value = Unit.AMP, given = true) double fuse,
            @In(value = Unit.AMP, decimals = 2) double carries) implements PartRemark {}

    record FuseHolds(
            @In(value = Unit.AMP, given = true) double fuse,
            @In(value = Unit.AMP, decimals = 2) double carries) implements PartRemark {}

    record FuseTires(
            @In(value = Unit.AMP, given = true) double fuse,
            @In(value = Unit.AMP, decimals = 2) double carries,
            @In(value = Unit.AMP, given = true) double take)
            implements PartRemark {}

    record FuseTooStrong(
            @In(value = Unit.AMP, given = true) double fuse,
            @In(value = Unit.AMP, given = true) double take) implements PartRemark {}

    /** A tube without bias. */
    record LostBiasOpens(
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.AMP, given = true) double fuse) implements PartRemark {}

    record LostBiasMayOpen(
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.AMP, given = true) double fuse) implements PartRemark {}

    record LostBiasDoesNot(
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.AMP, given = true) double fuse) implements PartRemark {}
}
