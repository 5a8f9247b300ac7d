package yellowrail.core.swap;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of heaters, and of the direct current through transformers, choke and rectifier. */
public sealed interface CurrentFinding extends Finding {

    // Heaters

    record HeaterVoltsAlike(
            @In(value = Unit.VOLT, given = true) double volts) implements CurrentFinding {}

    record HeaterVoltsApart(
            String wants,
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.VOLT, given = true) double given)
            implements CurrentFinding {}

    record BothHeaterVolts(
            String in,
            @In(value = Unit.VOLT, given = true) double inVolts,
            String wants,
            @In(value = Unit.VOLT, given = true) double wantsVolts)
            implements CurrentFinding {}

    record HeatersTakeNoMore(
            @In(value = Unit.AMP, given = true) double amps,
            String in,
            @In(value = Unit.AMP, given = true) double inAmps)
            implements CurrentFinding {}

    record HeatersTakeMore(
            @In(value = Unit.AMP, given = true) double amps,
            @In(value = Unit.AMP, given = true) double inAmps) implements CurrentFinding {}

    record OfWinding(
            @In(value = Unit.AMP, decimals = 1) double amps,
            @In(value = Unit.AMP, given = true) double rated) implements CurrentFinding {}

    record WindingTooWeak(
            CurrentFinding of,
            @In(value = Unit.AMP, decimals = 1) double tooMuch) implements CurrentFinding {}

    record WindingHolds(
            CurrentFinding of,
            @In(value = Unit.PERCENT, decimals = 0) double inHand) implements CurrentFinding {}

    record WindingHoldsBarely(
            CurrentFinding of,
            @In(value = Unit.PERCENT, decimals = 0) double inHand) implements CurrentFinding {}

    record WindingRestUnknown(
            CurrentFinding of,
            @In(value = Unit.PERCENT, decimals = 0) double inHand) implements CurrentFinding {}

    record WindingRestUnknownBarely(
            CurrentFinding of,
            @In(value = Unit.PERCENT, decimals = 0) double inHand) implements CurrentFinding {}

    record HeatersTogether(
            int tubes,
            @In(value = Unit.AMP, given = true) double each,
            @In(value = Unit.AMP, given = true) double together)
            implements CurrentFinding {}

    record AndElse(@In(value = Unit.AMP, given = true) double amps) implements CurrentFinding {}

    record AndElseUnknown() implements CurrentFinding {}

    record HeaterSum(
            CurrentFinding tubes,
            CurrentFinding rest,
            CurrentFinding of,

            @In(value = Unit.PERCENT, decimals = 0, change = true)
            double mains,

            @In(value = Unit.AMP, decimals = 1) double high,
            double exponent)
            implements CurrentFinding {}

    record HeaterVoltsSource() implements CurrentFinding {}

    record HeaterAmpsSource() implements CurrentFinding {}

    // The rail

    /** What is left of the rail's current besides the tubes' is on the sheet. */
    record RestOfRail(@In(Unit.MILLIAMP) double amps) implements CurrentFinding {}

    record RestOfRailUnknown() implements CurrentFinding {}

    /** A part that the rail's current passes through. */
    record Transformer(
            @In(value = Unit.MILLIAMP, given = true) double rated) implements CurrentFinding {}

    record Choke(@In(value = Unit.MILLIAMP, given = true) double rated) implements CurrentFinding {}

    record TransformerOrChoke(
            @In(value = Unit.MILLIAMP, given = true) double rated) implements CurrentFinding {}

    record RectifierTube(
            String type,
            @In(value = Unit.MILLIAMP, given = true) double rated) implements CurrentFinding {}

    /** At full drive, where it holds at idle. */
    record RailDriven(@In(Unit.MILLIAMP) double amps, List<CurrentFinding> over) implements CurrentFinding {}

    /** With a resistor for its own figures. */
    record RailSetForItself(@In(Unit.MILLIAMP) double amps, List<CurrentFinding> over) implements CurrentFinding {}

    record RailTooMuch(@In(Unit.MILLIAMP) double amps, List<CurrentFinding> over) implements CurrentFinding {}

    record RailWithin(@In(Unit.MILLIAMP) double amps, List<CurrentFinding> parts) implements CurrentFinding {}

    record RailRatingsUnknown(@In(Unit.MILLIAMP) double amps) implements CurrentFinding {}

    record RailSum(
            int tubes,
            @In(Unit.MILLIAMP) double each,
            CurrentFinding rest,
            @In(Unit.MILLIAMP) double total) implements CurrentFinding {}

    record RailSource() implements CurrentFinding {}

    record RailSourceToVerify() implements CurrentFinding {}

    record OutputOfRated(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rated) implements CurrentFinding {}

    /** As {@link OutputOfRated}, where a resistor for the tube's own figures would be too much. */
    record OutputAsItStands(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rated,
            @In(Unit.MILLIAMP) double own)
            implements CurrentFinding {}

    record OutputRatingUnknown() implements CurrentFinding {}

    record PlateCurrents(int tubes) implements CurrentFinding {}
}
