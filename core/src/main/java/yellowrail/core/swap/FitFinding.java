package yellowrail.core.swap;

import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of the room for the bulb, of the load, of the switch, and of the power they make. */
public sealed interface FitFinding extends Finding {

    // The bulb

    record Size(
            @In(value = Unit.MILLIMETRE, given = true) double height,
            @In(value = Unit.MILLIMETRE, given = true) double width)
            implements FitFinding {}

    record SizeUnknown() implements FitFinding {}

    record NoLarger(FitFinding size, String in) implements FitFinding {}

    record MeasureRoom(FitFinding size, FitFinding before, String in) implements FitFinding {}

    record BulbFits(FitFinding size) implements FitFinding {}

    record BulbTooLarge(FitFinding size, List<FitFinding> by) implements FitFinding {}

    record TooHigh(
            @In(value = Unit.MILLIMETRE, given = true) double by) implements FitFinding {}

    record TooWide(
            @In(value = Unit.MILLIMETRE, given = true) double by) implements FitFinding {}

    record LeaveAir() implements FitFinding {}

    record BulbSource() implements FitFinding {}

    // The load

    record Loads(
            String type,
            @In(value = Unit.KILOHM, decimals = 1) double least,
            @In(value = Unit.KILOHM, decimals = 1) double most)
            implements FitFinding {}

    record LoadNotOnSheet(FitFinding loads, Optional<FitFinding> before) implements FitFinding {}

    record NoLoadPublished(String wants, Optional<FitFinding> before) implements FitFinding {}

    record LoadSuits(@In(value = Unit.KILOHM, decimals = 1) double load, FitFinding loads, Optional<FitFinding> before)
            implements FitFinding {}

    record LoadSuitsNot(
            @In(value = Unit.KILOHM, decimals = 1) double load, FitFinding loads, Optional<FitFinding> before)
            implements FitFinding {}

    record LoadBefore(
            String in,
            @In(value = Unit.KILOHM, decimals = 1) double least,
            @In(value = Unit.KILOHM, decimals = 1) double most)
            implements FitFinding {}

    record LoadSource() implements FitFinding {}

    // The switch

    record SwitchTo(String wants, String positions) implements FitFinding {}

    // The power

    record PutLoadOnSheet() implements FitFinding {}

    record NoOperatingPoint() implements FitFinding {}

    record PowerAlike(
            @In(value = Unit.WATT, decimals = 0) double watts,
            String wants,
            @In(value = Unit.WATT, decimals = 0) double before,
            String in)
            implements FitFinding {}

    record PowerMore(
            @In(value = Unit.WATT, decimals = 0) double watts,
            String wants,
            @In(value = Unit.WATT, decimals = 0) double before,
            String in)
            implements FitFinding {}

    record PowerLess(
            @In(value = Unit.WATT, decimals = 0) double watts,
            String wants,
            @In(value = Unit.WATT, decimals = 0) double before,
            String in)
            implements FitFinding {}

    record PowerAlone(@In(value = Unit.WATT, decimals = 0) double watts, String in) implements FitFinding {}

    record PlatesAtFullDrive(
            @In(Unit.WATT) double plates,
            @In(value = Unit.WATT, given = true) double rating) implements FitFinding {}

    record ScreensAtFullDrive(
            @In(Unit.WATT) double screens,
            @In(value = Unit.WATT, given = true) double rating) implements FitFinding {}

    record PowerArithmetic(
            @In(Unit.VOLT) double plate,
            @In(value = Unit.KILOHM, decimals = 1) double load,
            @In(Unit.VOLT) double screens,
            String wants,
            @In(Unit.VOLT) double drive,
            @In(Unit.WATT) double plates,
            @In(value = Unit.WATT, given = true) double rating,
            @In(Unit.WATT) double screenWatts)
            implements FitFinding {}

    record PowerSource(
            @In(value = Unit.PERCENT, decimals = 0) double plusMinus) implements FitFinding {}
}
