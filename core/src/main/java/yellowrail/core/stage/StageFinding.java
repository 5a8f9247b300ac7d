package yellowrail.core.stage;

import yellowrail.core.amp.Core;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of a computed stage: what was taken for it, how far to trust it, which limits it passes. */
public sealed interface StageFinding extends Finding {

    // Taken because it was not known

    record PlatesTaken(@In(value = Unit.VOLT, decimals = 0) double volts) implements StageFinding {}

    record ScreensTaken(@In(value = Unit.VOLT, decimals = 0) double volts) implements StageFinding {}

    record IdleTaken(
            @In(value = Unit.MILLIAMP, decimals = 1) double each) implements StageFinding {}

    record LoadTaken(@In(value = Unit.OHM, decimals = 0) double ohms) implements StageFinding {}

    /** The model carries no more at the grid's edge than the first, where the second was read or asked for. */
    record IdleBeyondEdge(
            @In(value = Unit.MILLIAMP, decimals = 1) double most,
            @In(value = Unit.MILLIAMP, decimals = 1) double asked) implements StageFinding {}

    /** So many tubes a side are computed of so many that there are. */
    record FewerTubes(int computed, int tubes) implements StageFinding {}

    /** One side of what was read carries next to nothing; both are taken alike. */
    record OneSideHardlyDraws() implements StageFinding {}

    record Unsettled(int rounds) implements StageFinding {}

    // Limits

    record CutOffAtRest(@In(Unit.VOLT) double grid) implements StageFinding {}

    record IdleOverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements StageFinding {}

    record PlatesOverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements StageFinding {}

    record ScreensOverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements StageFinding {}

    /** At less than full drive, or under a square wave. */
    record PlatesWorstOver(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating,
            @In(value = Unit.PERCENT, decimals = 0) double drive,
            WorstCase.Wave wave)
            implements StageFinding {}

    record ScreensWorstOver(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating,
            @In(value = Unit.PERCENT, decimals = 0) double drive,
            WorstCase.Wave wave)
            implements StageFinding {}

    /** DC left in the core: of a side's plate current so much. */
    record CoreUnbalanced(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.PERCENT, decimals = 0) double ratio) implements StageFinding {}

    /** The sheet tells the core. */
    record CoreOver(
            @In(value = Unit.MILLIAMP, decimals = 1) double amps,
            @In(value = Unit.MILLIAMP, decimals = 1) double tolerated,
            Core.Kind kind)
            implements StageFinding {}

    record CoreWithin(
            @In(value = Unit.MILLIAMP, decimals = 1) double amps,
            @In(value = Unit.MILLIAMP, decimals = 1) double tolerated,
            Core.Kind kind)
            implements StageFinding {}

    /** DC through a gap that was made for less. */
    record GapOver(
            @In(value = Unit.MILLIAMP, decimals = 1) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rated) implements StageFinding {}

    record CathodesOverLimit(
            @In(Unit.MILLIAMP) double each,
            @In(value = Unit.MILLIAMP, given = true) double limit) implements StageFinding {}

    // Trust

    record FromTheTypeAlone(
            @In(value = Unit.PERCENT, decimals = 0) double power,
            @In(value = Unit.PERCENT, decimals = 0) double plates,
            @In(value = Unit.PERCENT, decimals = 0) double screens,
            double leastDistortion,
            double mostDistortion)
            implements StageFinding {}

    /** As {@link FromTheTypeAlone}, of a tube without a screen. */
    record TriodeFromTheTypeAlone(
            @In(value = Unit.PERCENT, decimals = 0) double power,
            @In(value = Unit.PERCENT, decimals = 0) double plates,
            double leastDistortion,
            double mostDistortion)
            implements StageFinding {}

    /** Of one tube, by so many tests and settings of runs. */
    record OwnTubeTaken(String tube, int tests, int settings, int points) implements StageFinding {}

    record ModelOf(String type, Finding trust) implements StageFinding {}

    /**
     * A distortion as a size.
     *
     * @param leading the harmonic that leads it, 2 or more
     */
    record Distortion(
            @In(value = Unit.PERCENT, decimals = 0) double ratio, Harmonic leading) implements StageFinding {}

    /** As {@link Distortion}, where its first decimal still means something. */
    record SmallDistortion(
            @In(value = Unit.PERCENT, decimals = 1) double ratio, Harmonic leading) implements StageFinding {}

    record HardlyAnyDistortion(Harmonic leading) implements StageFinding {}

    /** A harmonic by its number. */
    enum Harmonic {
        SECOND,
        THIRD,
        FOURTH,
        FIFTH,
        SIXTH,
        SEVENTH,
        EIGHTH,
        NINTH
    }
}
