package yellowrail.core.idle;

import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.School;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.RatingSystem;

/** What is to be said of an idle: what is missing for a verdict, what goes with it, and the stage in one line. */
public sealed interface IdleFinding extends Finding {

    // What a verdict waits for.

    record NoCurrent(String point, Unit shows) implements IdleFinding {}

    record NoOhms(String point) implements IdleFinding {}

    record NoPlates() implements IdleFinding {}

    record PlatesUnloaded() implements IdleFinding {}

    record NoCathodeVolts() implements IdleFinding {}

    record NoHalfPrimary() implements IdleFinding {}

    record NoScreenCurrent(String socket) implements IdleFinding {}

    record UnknownType(String socket, String name) implements IdleFinding {}

    /** @param why what made the last reading one of something that is gone */
    record ReadAgain(String point, Finding why) implements IdleFinding {}

    /** @param how the contradiction */
    record Contradiction(Finding how) implements IdleFinding {}

    record NoCurrentLeft(@In(Unit.MILLIAMP) double amps) implements IdleFinding {}

    record ScreenNotLess(
            @In(Unit.MILLIAMP) double screen,
            @In(Unit.MILLIAMP) double cathode) implements IdleFinding {}

    record NoPlateVoltsLeft(@In(Unit.VOLT) double volts) implements IdleFinding {}

    // Limits, in their order.

    record OverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements IdleFinding {}

    record ScreenOverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements IdleFinding {}

    /** Plate and screen together. */
    record TogetherOverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements IdleFinding {}

    record OverByChoice(@In(Unit.PERCENT) double ratio) implements IdleFinding {}

    record CathodeOverLimit(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.MILLIAMP, given = true) double limit) implements IdleFinding {}

    record PlateOverLimit(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit) implements IdleFinding {}

    record ScreenOverLimit(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit) implements IdleFinding {}

    record PlateAccepted(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit,
            @In(value = Unit.VOLT, given = true) double accepted)
            implements IdleFinding {}

    record ScreenAccepted(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double limit,
            @In(value = Unit.VOLT, given = true) double accepted)
            implements IdleFinding {}

    record UpperEndPassesRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements IdleFinding {}

    record LowerEndWithinRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements IdleFinding {}

    record ColdEdgeWithin(@In(Unit.WATT) double watts) implements IdleFinding {}

    record HotEdgeWithin(@In(Unit.WATT) double watts) implements IdleFinding {}

    record JudgedBySchool(School school) implements IdleFinding {}

    /** The customary window of cathode bias, made smaller so that high mains stay under the rating. */
    record WindowCapped(
            @In(value = Unit.PERCENT, given = true) double low,
            @In(value = Unit.PERCENT, given = true) double high,
            RatingSystem system)
            implements IdleFinding {}

    record ChoiceNotOfThisTube(RatingSystem system) implements IdleFinding {}

    // What the way and the time of reading do.

    record Average(int tubes, String point, CurrentMethod.Hidden hides) implements IdleFinding {}

    record OneDrawsMore(@In(Unit.PERCENT) double ratio) implements IdleFinding {}

    /** One of the tubes behind an average in the window may be over its hot edge. */
    record OneMayBeHot(
            @In(Unit.PERCENT) double ratio,
            @In(Unit.PERCENT) double edge) implements IdleFinding {}

    record PanelMeterHides() implements IdleFinding {}

    record SupplyIncludesAll() implements IdleFinding {}

    record CopperWarms() implements IdleFinding {}

    record ReadApart(long minutes) implements IdleFinding {}

    record OtherMains(
            @In(Unit.VOLT) double read, @In(Unit.VOLT) double sheet) implements IdleFinding {}

    record TriodeScreens() implements IdleFinding {}

    record ScreenUnusable(@In(Unit.VOLT) double volts) implements IdleFinding {}

    /** A meter of ten megohms across a grid leak shows less than is there. */
    record BiasReadsLow(
            @In(Unit.VOLT) double read,
            @In(Unit.VOLT) double there,
            @In(Unit.KILOHM) double leak) implements IdleFinding {}

    record BiasMayReadLow() implements IdleFinding {}

    record Stale(String point, Finding why) implements IdleFinding {}

    // The warm-up.

    record ReadAfterOff(ReadingKind kind) implements IdleFinding {}

    record WarmUpTooShort(ReadingKind kind, long seconds, long needs) implements IdleFinding {}

    record WarmUpNotKnown() implements IdleFinding {}

    record Early(ReadingKind kind, long minutes, long settles) implements IdleFinding {}

    record SwitchedOff(long minutes) implements IdleFinding {}

    record ClockNotKnown() implements IdleFinding {}

    record OnForHours(long hours) implements IdleFinding {}

    record NotYetConducting(long seconds, long needs) implements IdleFinding {}

    record WarmingUp(long minutes, long of) implements IdleFinding {}

    record Warm(long minutes) implements IdleFinding {}

    // The stage in one line.

    record SwitchOffNow(
            String socket,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double ratio) implements IdleFinding {}

    record TookTooMuch(
            String socket,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double ratio) implements IdleFinding {}

    record SwitchOffRising(
            String socket,
            @In(Unit.WATT) double watts,
            @In(Unit.PERCENT) double ratio,
            Shown from,
            Shown to) implements IdleFinding {}

    record StageOverRating(
            String socket,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating,
            @In(Unit.PERCENT) double ratio)
            implements IdleFinding {}

    record StageScreenOver(
            String socket,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements IdleFinding {}

    record WasOverRating(
            String socket,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating,
            Finding why) implements IdleFinding {}

    record StageOverByChoice(String socket, Shown measure) implements IdleFinding {}

    record StageHot(String socket, Shown measure, Shown edge) implements IdleFinding {}

    record StageCold(String socket, Shown measure, Shown edge) implements IdleFinding {}

    record OneInWindow(String socket, Shown measure) implements IdleFinding {}

    record AllInWindow(String hottest, Shown measure) implements IdleFinding {}

    /** In the window on average; one of those that share the reading may not be. */
    record AverageInWindow(
            String point, Shown measure, @In(Unit.PERCENT) double ratio) implements IdleFinding {}

    record WasSo(String socket, Verdict verdict, Finding why) implements IdleFinding {}

    /** What a current across a test point hides. */
    static CurrentMethod.Hidden hides(CurrentMethod method) {
        return method.hides() == CurrentMethod.Hidden.NOTHING ? CurrentMethod.SENSE_SHARED.hides() : method.hides();
    }
}
