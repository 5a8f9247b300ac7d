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

    record DrivenOf(@In(Unit.MILLIAMP) double total) implements RectifierFinding {}

    record WindingTakes(
            String winding,
            @In(value = Unit.AMP, decimals = 2) double amps,
            @In(value = Unit.AMP, given = true) double rated,
            @In(value = Unit.AMP, decimals = 2) double before)
            implements RectifierFinding {}

    record NeedsCentreTap(String wants) implements RectifierFinding {}

    // What it holds off

    record InverseAtMost(
            @In(value = Unit.VOLT, given = true) double most) implements RectifierFinding {}

    record InverseOf(
            @In(value = Unit.VOLT, decimals = 0) double volts,
            @In(value = Unit.VOLT, given = true) double most) implements RectifierFinding {}

    record SeriesDiodes() implements RectifierFinding {}

    record DiodeHoldsOff(
            @In(value = Unit.VOLT, decimals = 0) double volts,
            @In(value = Unit.VOLT, given = true) double each) implements RectifierFinding {}

    record DiodesInSeries(
            @In(value = Unit.VOLT, decimals = 0) double volts,
            int count,
            @In(value = Unit.VOLT, given = true) double each)
            implements RectifierFinding {}

    record TwicePeak(
            @In(value = Unit.VOLT, decimals = 0) double peak,

            @In(value = Unit.PERCENT, decimals = 0, change = true)
            double mains)
            implements RectifierFinding {}

    // What it is charged with

    record PulsesOf(
            @In(value = Unit.MILLIAMP, decimals = 0) double peak,
            @In(value = Unit.MILLIAMP, decimals = 0) double most) implements RectifierFinding {}

    record NoTransient() implements RectifierFinding {}

    record NeedsOhms(
            @In(value = Unit.OHM, decimals = 0) double ohms,
            @In(value = Unit.AMP, given = true) double most) implements RectifierFinding {}

    record AddOhms(
            @In(value = Unit.OHM, decimals = 0) double ohms,
            @In(value = Unit.AMP, given = true) double most) implements RectifierFinding {}

    record PulsesBy(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.OHM, decimals = 0) double ohms) implements RectifierFinding {}

    // When it is there

    record ComesUpWithThem(String wants) implements RectifierFinding {}

    record ThereBefore(
            String wants,
            @In(value = Unit.VOLT, decimals = 0) double peak) implements RectifierFinding {}

    record ThereBeforeUnknown(String wants) implements RectifierFinding {}

    record ThereBeforeOf(
            String wants,
            @In(value = Unit.VOLT, decimals = 0) double peak,
            @In(value = Unit.VOLT, given = true) double rated)
            implements RectifierFinding {}

    // Where the plates stand

    record PlatesMoveTo(
            @In(value = Unit.VOLT, decimals = 0, change = true)
            double by,

            @In(value = Unit.VOLT, plusMinus = true) double plusMinus,
            @In(Unit.VOLT) double to,
            @In(Unit.MILLIAMP) double each,
            @In(Unit.MILLIAMP) double now)
            implements RectifierFinding {}

    record Drops(
            String in,
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            String wants,
            @In(value = Unit.VOLT, given = true) double wantsVolts,
            @In(value = Unit.MILLIAMP, decimals = 0) double wantsAmps)
            implements RectifierFinding {}

    record ByPulses(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.VOLT, decimals = 0) double peak,
            @In(value = Unit.OHM, decimals = 0) double ohms)
            implements RectifierFinding {}

    record PowerOfBoth(
            @In(value = Unit.WATT, decimals = 1) double before,
            String in,
            @In(value = Unit.WATT, decimals = 1) double after,
            String wants)
            implements RectifierFinding {}

    record Gives(
            String in,
            @In(value = Unit.OHM, decimals = 0) double ohms,
            String wants,
            @In(value = Unit.OHM, decimals = 0) double wantsOhms)
            implements RectifierFinding {}

    record SameWatts(
            @In(Unit.MILLIAMP) double now,
            @In(Unit.VOLT) double plate,
            @In(Unit.VOLT) double then) implements RectifierFinding {}
}
