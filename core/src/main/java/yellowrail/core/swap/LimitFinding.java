package yellowrail.core.swap;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of a tube's limits at an amp's voltages, and of the window its idle should land in. */
public sealed interface LimitFinding extends Finding {

    record NoScreen() implements LimitFinding {}

    record ReadScreens() implements LimitFinding {}

    record ReadPlatesAndCurrents() implements LimitFinding {}

    // Voltages

    record OverLimit(
            @In(Unit.VOLT) double volts,
            String wants,
            @In(value = Unit.VOLT, given = true) double limit) implements LimitFinding {}

    record AllowedForMains(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit,
            @In(Unit.VOLT) double high) implements LimitFinding {}

    record OverAtHighMains(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit,
            @In(Unit.VOLT) double high,
            @In(Unit.VOLT) double bringTo)
            implements LimitFinding {}

    record WithinLimit(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit,
            @In(Unit.VOLT) double high) implements LimitFinding {}

    record VoltsAtMains(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit,

            @In(value = Unit.PERCENT, decimals = 0, change = true)
            double mains,

            @In(Unit.VOLT) double high)
            implements LimitFinding {}

    record VoltsSource(Finding rating) implements LimitFinding {}

    // Dissipation

    record PresentCurrent(@In(Unit.MILLIAMP) double each) implements LimitFinding {}

    record AtPresentGrid(
            @In(Unit.VOLT) double grid, @In(Unit.MILLIAMP) double each) implements LimitFinding {}

    /** Colder than usual, since what it passes through stands no more. */
    record StandsAndStays(
            LimitFinding what,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double ratio,
            @In(value = Unit.WATT, given = true) double rating)
            implements LimitFinding {}

    record WithPresentResistor(
            @In(value = Unit.OHM, given = true) double ohms,
            @In(Unit.MILLIAMP) double each) implements LimitFinding {}

    record StandsInWindow(
            LimitFinding what,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double ratio,
            @In(value = Unit.WATT, given = true) double rating)
            implements LimitFinding {}

    record StandsToBeSet(
            LimitFinding what,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double ratio,
            @In(value = Unit.WATT, given = true) double rating,
            @In(Unit.MILLIAMP) double setTo,
            @In(Unit.PERCENT) double aim)
            implements LimitFinding {}

    record ToBeSet(
            @In(Unit.MILLIAMP) double setTo,
            @In(Unit.PERCENT) double aim) implements LimitFinding {}

    record AimArithmetic(
            @In(Unit.PERCENT) double aim,
            @In(value = Unit.WATT, given = true) double rating,
            @In(Unit.VOLT) double plate,
            @In(Unit.PERCENT) double screenShare)
            implements LimitFinding {}

    record WattsArithmetic(
            @In(Unit.VOLT) double plate,
            @In(Unit.MILLIAMP) double each,
            @In(Unit.PERCENT) double screenShare,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double low,
            @In(Unit.PERCENT) double high)
            implements LimitFinding {}

    record WattsSource(Finding rating, String wants) implements LimitFinding {}

    record CurrentByModel() implements LimitFinding {}

    // Cathode current

    record CathodeCurrent(
            @In(Unit.MILLIAMP) double aim,
            @In(value = Unit.MILLIAMP, given = true) double limit) implements LimitFinding {}

    record MeanCurrent() implements LimitFinding {}

    record LimitSource(Finding rating) implements LimitFinding {}
}
