package yellowrail.core.swap;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of another rectifier. */
public sealed interface RectifierFinding extends Finding {

    record SiliconNeedsNone() implements RectifierFinding {}

    record NeedsWinding(
            String wants,
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.AMP, given = true) double amps)
            implements RectifierFinding {}

    record HeaterFor(
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.AMP, given = true) double amps,
            @In(value = Unit.VOLT, given = true) double inVolts,
            @In(value = Unit.AMP, given = true) double inAmps)
            implements RectifierFinding {}

    record TakesMore(
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.AMP, given = true) double amps,
            @In(value = Unit.VOLT, given = true) double inVolts,
            @In(value = Unit.AMP, given = true) double inAmps)
            implements RectifierFinding {}

    record ReadCurrents(
            @In(value = Unit.MILLIAMP, given = true) double most) implements RectifierFinding {}

    record IdleOf(
            @In(Unit.MILLIAMP) double total,
            @In(value = Unit.MILLIAMP, given = true) double most) implements RectifierFinding {}

    record CurrentSum(int tubes, @In(Unit.MILLIAMP) double each, CurrentFinding rest) implements RectifierFinding {}

    record SiliconChargesAny() implements RectifierFinding {}

    record CapacitorAtMost(
            @In(value = Unit.MICROFARAD, decimals = 0) double most) implements RectifierFinding {}

    record CapacitorHolds(
            @In(value = Unit.MICROFARAD, given = true) double farads,
            @In(value = Unit.MICROFARAD, decimals = 0) double most)
            implements RectifierFinding {}

    record CapacitorTooLarge(
            @In(value = Unit.MICROFARAD, given = true) double farads,
            @In(value = Unit.MICROFARAD, decimals = 0) double most)
            implements RectifierFinding {}

    record PlatesMove(
            @In(value = Unit.VOLT, decimals = 0, change = true)
            double by) implements RectifierFinding {}

    record PlatesMoveTo(
            @In(value = Unit.VOLT, decimals = 0, change = true)
            double by,

            @In(Unit.VOLT) double to,
            @In(Unit.MILLIAMP) double each,
            @In(Unit.MILLIAMP) double now)
            implements RectifierFinding {}

    record Drops(
            String in,
            @In(value = Unit.VOLT, given = true) double volts,
            String wants,
            @In(value = Unit.VOLT, given = true) double wantsVolts)
            implements RectifierFinding {}

    record SameWatts(
            @In(Unit.MILLIAMP) double now,
            @In(Unit.VOLT) double plate,
            @In(Unit.VOLT) double then) implements RectifierFinding {}
}
