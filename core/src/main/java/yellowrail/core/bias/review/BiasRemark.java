package yellowrail.core.bias.review;

import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of a bias supply. Volts of grids are negative, of capacitors magnitudes. */
public sealed interface BiasRemark extends Finding {

    // The wiper

    record WiperOpenUnsafe(
            @In(Unit.VOLT) double grid, @In(Unit.VOLT) double coldest) implements BiasRemark {}

    record WiperResistorMends(
            @In(value = Unit.KILOHM, given = true) double ohms,
            @In(Unit.VOLT) double grid) implements BiasRemark {}

    record NoResistorMends() implements BiasRemark {}

    record WiperOpenSafe(@In(Unit.VOLT) double grid) implements BiasRemark {}

    /** Safe for the tubes, but what stands behind it rises. */
    record WiperOpenLifts(
            @In(Unit.VOLT) double grid, @In(Unit.VOLT) double reservoir) implements BiasRemark {}

    record NoWiper() implements BiasRemark {}

    record TieTheFreeEnd() implements BiasRemark {}

    // Capacitors

    record CapacitorOver(
            PartKind part,
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double rating,
            @In(value = Unit.VOLT, given = true) double take)
            implements BiasRemark {}

    record CapacitorNear(
            PartKind part,
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double rating,
            @In(value = Unit.VOLT, given = true) double take)
            implements BiasRemark {}

    record CapacitorNeeds(
            PartKind part,
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double take) implements BiasRemark {}

    record RisesInAFault(PartKind part, @In(Unit.VOLT) double volts) implements BiasRemark {}

    // Resistors

    record ResistorOver(
            PartKind part,
            @In(value = Unit.WATT, decimals = 2) double watts,
            @In(value = Unit.WATT, given = true) double rating,
            @In(value = Unit.WATT, given = true) double take)
            implements BiasRemark {}

    record ResistorHot(
            PartKind part,
            @In(value = Unit.WATT, decimals = 2) double watts,
            @In(value = Unit.WATT, given = true) double rating,
            @In(value = Unit.WATT, given = true) double take)
            implements BiasRemark {}

    // The range

    record TooHotToReach(
            @In(Unit.VOLT) double needed, @In(Unit.VOLT) double hottest) implements BiasRemark {}

    record TooColdToReach(
            @In(Unit.VOLT) double needed, @In(Unit.VOLT) double coldest) implements BiasRemark {}

    record NearTheStop(
            @In(Unit.VOLT) double needed,
            @In(value = Unit.PERCENT, decimals = 0) double travel) implements BiasRemark {}

    record ScatterBeyond(
            @In(Unit.VOLT) double strongest, @In(Unit.VOLT) double weakest) implements BiasRemark {}

    record HotStopOver(
            @In(Unit.VOLT) double grid,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rated) implements BiasRemark {}

    record FixedOver(
            @In(Unit.VOLT) double grid,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rated) implements BiasRemark {}

    record FixedBeside(
            @In(Unit.VOLT) double needed, @In(Unit.VOLT) double gives) implements BiasRemark {}

    record EndStop(
            @In(value = Unit.KILOHM, given = true) double from,
            @In(value = Unit.KILOHM, given = true) double to) implements BiasRemark {}

    record NoEndStop() implements BiasRemark {}

    record MuchRipple(
            @In(Unit.VOLT) double volts, @In(Unit.PERCENT) double ofReservoir) implements BiasRemark {}

    // Read at a stop

    record StopAsComputed(
            @In(Unit.VOLT) double read, @In(Unit.VOLT) double computed) implements BiasRemark {}

    record StopOff(
            @In(Unit.VOLT) double read,
            @In(Unit.VOLT) double computed,

            @In(value = Unit.PERCENT, decimals = 0, change = true)
            double off)
            implements BiasRemark {}

    record StopWithoutBias(
            @In(Unit.VOLT) double read, @In(Unit.VOLT) double computed) implements BiasRemark {}

    record StopPositive(@In(Unit.VOLT) double read) implements BiasRemark {}

    /** The computation did not come to rest. */
    record Unsettled(int rounds) implements BiasRemark {}
}
