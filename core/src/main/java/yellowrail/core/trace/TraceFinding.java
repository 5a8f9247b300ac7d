package yellowrail.core.trace;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of a point of a tube’s curves. */
public sealed interface TraceFinding extends Finding {

    /** More than a tube stands for as long as a reading takes: a figure is wrong, or its unit. */
    record BeyondAnyReading(
            @In(value = Unit.WATT, decimals = 0) double watts,
            @In(value = Unit.WATT, decimals = 0) double rated) implements TraceFinding {}

    record ScreenBeyondAnyReading(
            @In(value = Unit.WATT, decimals = 1) double watts,
            @In(value = Unit.WATT, decimals = 1) double rated) implements TraceFinding {}

    /** A point that was read is over the rating: it was held longer than a reading takes, or it is told wrong. */
    record OverRating(
            @In(value = Unit.WATT, decimals = 1) double watts,
            @In(value = Unit.WATT, given = true) double rated) implements TraceFinding {}

    /** Far from what was expected there: another tube, another circuit, or told wrong. */
    record FarFromExpected(
            @In(value = Unit.MILLIAMP, decimals = 1) double amps,
            @In(value = Unit.MILLIAMP, decimals = 1) double expected)
            implements TraceFinding {}

    /** A screen current by itself needs a screen by itself. */
    record ScreenVoltsNeeded() implements TraceFinding {}

    record NoScreen() implements TraceFinding {}
}
