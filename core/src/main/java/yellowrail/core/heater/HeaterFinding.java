package yellowrail.core.heater;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of a heater winding, or of a line that describes one. */
public sealed interface HeaterFinding extends Finding {

    record NoWinding(String typed) implements HeaterFinding {}

    record NotUnderstood(String typed) implements HeaterFinding {}

    record OutOfRange(String typed, double low, double high, Unit unit) implements HeaterFinding {}

    record TextTooLong(int length, int most) implements HeaterFinding {}

    record TooManyWindings(int most) implements HeaterFinding {}

    record TooManyLoads(int most) implements HeaterFinding {}

    // The sum

    record Takes(@In(value = Unit.AMP, decimals = 2) double amps) implements HeaterFinding {}

    record TakesOf(
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.AMP, given = true) double rated,
            @In(value = Unit.PERCENT, decimals = 0) double share)
            implements HeaterFinding {}

    record TakesMore(
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.AMP, given = true) double rated,
            @In(value = Unit.PERCENT, decimals = 0) double share)
            implements HeaterFinding {}

    record NotKnown(List<String> types) implements HeaterFinding {}

    record OtherVolts(
            String type,
            @In(value = Unit.VOLT, given = true) double wants,
            @In(value = Unit.VOLT, given = true) double gives)
            implements HeaterFinding {}

    record Verify(List<String> types) implements HeaterFinding {}

    // What was read

    record Sags(
            @In(value = Unit.VOLT, decimals = 2) double bare,
            @In(value = Unit.VOLT, decimals = 2) double loaded,
            @In(Unit.PERCENT) double regulation,
            @In(value = Unit.OHM, decimals = 3) double ohms)
            implements HeaterFinding {}

    record LoadedGood(
            @In(value = Unit.VOLT, decimals = 2) double loaded,
            @In(value = Unit.PERCENT, change = true) double off) implements HeaterFinding {}

    record LoadedAllowed(
            @In(value = Unit.VOLT, decimals = 2) double loaded,
            @In(value = Unit.PERCENT, change = true) double off) implements HeaterFinding {}

    record LoadedWrong(
            @In(value = Unit.VOLT, decimals = 2) double loaded,
            @In(value = Unit.PERCENT, change = true) double off) implements HeaterFinding {}

    record BareBelowLoaded() implements HeaterFinding {}
}
