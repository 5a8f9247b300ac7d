package yellowrail.core.work;

import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** A step of work at an amp's bias, or what comes of it. */
public sealed interface WorkFinding extends Finding {

    // What comes of it

    record Rewired(BiasNetwork.Kind from, BiasNetwork.Kind to) implements WorkFinding {}

    record GridsReach(
            @In(Unit.VOLT) double coldest, @In(Unit.VOLT) double hottest) implements WorkFinding {}

    record GridsStandAt(@In(Unit.VOLT) double grid) implements WorkFinding {}

    record NotFailSafe() implements WorkFinding {}

    record PlatesLose(@In(Unit.VOLT) double volts) implements WorkFinding {}

    record PlatesGain(@In(Unit.VOLT) double volts) implements WorkFinding {}

    record IdlesAt(
            @In(value = Unit.MILLIAMP, decimals = 1) double amps,
            @In(value = Unit.WATT, decimals = 1) double watts,
            @In(value = Unit.PERCENT, decimals = 0) double share)
            implements WorkFinding {}

    record IdleOverRating(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rated) implements WorkFinding {}

    record HotAtHighMains(
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rated) implements WorkFinding {}

    record PowerBecomes(
            @In(value = Unit.WATT, decimals = 0) double from,
            @In(value = Unit.WATT, decimals = 0) double to) implements WorkFinding {}

    record OtherWindow(
            @In(value = Unit.PERCENT, decimals = 0) double low,
            @In(value = Unit.PERCENT, decimals = 0) double high) implements WorkFinding {}

    record LeakTooLarge(
            @In(value = Unit.KILOHM, given = true) double is,
            @In(value = Unit.KILOHM, given = true) double most) implements WorkFinding {}

    record LeakLimitNotKnown() implements WorkFinding {}

    // Before the iron is hot

    record OffAndDrained() implements WorkFinding {}

    record TapIsLive(@In(value = Unit.VOLT, decimals = 0) double volts) implements WorkFinding {}

    record TubesOut() implements WorkFinding {}

    // Solder

    record SolderSupply() implements WorkFinding {}

    record SolderBridge() implements WorkFinding {}

    /** Behind a coupling capacitor. */
    record SolderCoupled() implements WorkFinding {}

    record CathodesToSense() implements WorkFinding {}

    record SolderCathode(
            @In(value = Unit.WATT, given = true) double watts) implements WorkFinding {}

    record LeaksToGround() implements WorkFinding {}

    // Power off

    record OhmsFromGrids(
            @In(value = Unit.KILOHM, decimals = 1) double cold,
            @In(value = Unit.KILOHM, decimals = 1) double hot) implements WorkFinding {}

    record OhmsFromGridsFixed(
            @In(value = Unit.KILOHM, decimals = 1) double ohms) implements WorkFinding {}

    record OhmsFromCathode(
            @In(value = Unit.OHM, given = true) double cathode,
            @In(value = Unit.KILOHM, given = true) double leak) implements WorkFinding {}

    // Power on, tubes out

    record LimiterTubesOut() implements WorkFinding {}

    record ReadStops(
            @In(Unit.VOLT) double coldest,
            @In(Unit.VOLT) double hottest,
            @In(value = Unit.PERCENT, decimals = 0) double within)
            implements WorkFinding {}

    record ReadGrids(
            @In(Unit.VOLT) double grid,
            @In(value = Unit.PERCENT, decimals = 0) double within) implements WorkFinding {}

    record ReadReservoir(@In(Unit.VOLT) double volts) implements WorkFinding {}

    record TurnThrough() implements WorkFinding {}

    record GridsAtZero() implements WorkFinding {}

    // Tubes in

    record TubesInAtColdest() implements WorkFinding {}

    record TubesIn() implements WorkFinding {}

    record ExpectAtColdest(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements WorkFinding {}

    record ReadAtOnce() implements WorkFinding {}

    record ReadCathode(
            @In(Unit.VOLT) double volts, @In(Unit.VOLT) double most) implements WorkFinding {}

    record SetFromCold() implements WorkFinding {}

    record NothingToTurn() implements WorkFinding {}

    record Soak() implements WorkFinding {}

    record KeepTheSupply() implements WorkFinding {}

    record ChangeTheSheet() implements WorkFinding {}
}
