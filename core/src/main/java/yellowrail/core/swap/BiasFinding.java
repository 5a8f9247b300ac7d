package yellowrail.core.swap;

import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of what the grids need: volts, the resistor that makes them, the leak, the drive. */
public sealed interface BiasFinding extends Finding {

    // Grid volts

    record NoPointsForGrid() implements BiasFinding {}

    record AboutVolts(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double plusMinus) implements BiasFinding {}

    record AndBefore(String in, @In(Unit.VOLT) double volts) implements BiasFinding {}

    record MadeByResistor(BiasFinding about, Optional<BiasFinding> before) implements BiasFinding {}

    /** Not read, but computed of the supply that is kept with the amp. */
    record StopsComputed() implements BiasFinding {}

    record StopsNotRead(BiasFinding about, Optional<BiasFinding> before) implements BiasFinding {}

    record Reaches(
            BiasFinding about,
            Optional<BiasFinding> before,
            @In(Unit.VOLT) double coldest,
            @In(Unit.VOLT) double hottest)
            implements BiasFinding {}

    record ReachesNot(
            BiasFinding about,
            Optional<BiasFinding> before,
            @In(Unit.VOLT) double coldest,
            @In(Unit.VOLT) double hottest,
            @In(Unit.VOLT) double from,
            @In(Unit.VOLT) double to)
            implements BiasFinding {}

    record SetFromCold(Finding to) implements BiasFinding {}

    record ResistorBeforeItIsIn() implements BiasFinding {}

    record IfLeft(
            @In(Unit.VOLT) double grid,
            @In(Unit.MILLIAMP) double amps,
            @In(Unit.PERCENT) double ofRating) implements BiasFinding {}

    record GridByModel(
            @In(Unit.MILLIAMP) double amps,
            @In(Unit.VOLT) double plate,
            @In(Unit.VOLT) double screen,
            @In(Unit.VOLT) double grid)
            implements BiasFinding {}

    record ModelSource(
            String wants,
            Finding model,
            @In(value = Unit.VOLT, given = true) double plusMinus) implements BiasFinding {}

    record NoModelSource(String wants) implements BiasFinding {}

    record ScreensTaken() implements BiasFinding {}

    // Cathode resistor

    record NothingToComputeResistor() implements BiasFinding {}

    record Part(
            @In(value = Unit.OHM, given = true) double ohms,
            @In(value = Unit.WATT, given = true) double watts) implements BiasFinding {}

    record ResistorNearEnough(
            @In(value = Unit.OHM, given = true) double ohms, BiasFinding part) implements BiasFinding {}

    record ResistorStays(@In(value = Unit.OHM, given = true) double ohms) implements BiasFinding {}

    record ResistorTo(BiasFinding part) implements BiasFinding {}

    record ResistorFromTo(
            BiasFinding part,
            @In(value = Unit.OHM, given = true) double ohms) implements BiasFinding {}

    record ResistorArithmetic(
            @In(Unit.VOLT) double volts,
            int tubes,
            @In(Unit.MILLIAMP) double each,
            @In(value = Unit.OHM, decimals = 0) double ohms,
            @In(Unit.WATT) double watts)
            implements BiasFinding {}

    // Grid leak

    record LeakAtMost(@In(value = Unit.KILOHM, given = true) double limit) implements BiasFinding {}

    record LeakHolds(
            @In(value = Unit.KILOHM, given = true) double ohms,
            @In(value = Unit.KILOHM, given = true) double limit) implements BiasFinding {}

    record LeakTo(
            @In(value = Unit.KILOHM, given = true) double ohms,
            @In(value = Unit.KILOHM, given = true) double limit) implements BiasFinding {}

    record LeakWhy() implements BiasFinding {}

    record LeakCathodeSource(Finding rating) implements BiasFinding {}

    record LeakFixedSource(Finding rating) implements BiasFinding {}

    // Drive

    record DriveUnknown(@In(Unit.VOLT) double peak) implements BiasFinding {}

    record DriveHolds(
            @In(Unit.VOLT) double peak, @In(Unit.VOLT) double gives) implements BiasFinding {}

    record DriveTooLittle(
            @In(Unit.VOLT) double peak, @In(Unit.VOLT) double gives) implements BiasFinding {}

    record DriveWhy() implements BiasFinding {}
}
