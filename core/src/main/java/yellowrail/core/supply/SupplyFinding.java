package yellowrail.core.supply;

import yellowrail.core.amp.Rectifier;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/**
 * What is to be said of a supply line, of what was guessed for one, and of how figures are carried to another mains.
 */
public sealed interface SupplyFinding extends Finding {

    record LineFitted(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, plusMinus = true) double voltsPlusMinus,
            @In(value = Unit.OHM, decimals = 0) double ohms,
            @In(value = Unit.OHM, plusMinus = true) double ohmsPlusMinus,
            int points)
            implements SupplyFinding {}

    record LineGuessed(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, plusMinus = true) double voltsPlusMinus,
            @In(value = Unit.OHM, decimals = 0) double ohms,
            Finding why)
            implements SupplyFinding {}

    /** Two settings or more that no supply can have made. */
    record NoSupplyLine(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.OHM, decimals = 0) double ohms) implements SupplyFinding {}

    record GuessedFromPeak(
            @In(value = Unit.OHM, decimals = 0) double ohms) implements SupplyFinding {}

    record GuessedAsUsual(
            @In(value = Unit.OHM, decimals = 0) double ohms) implements SupplyFinding {}

    record GuessedAsUsualFor(
            @In(value = Unit.OHM, decimals = 0) double ohms, Rectifier rectifier) implements SupplyFinding {}

    /** As it was read before the tubes were exchanged. */
    record GuessedAsBefore(
            @In(value = Unit.OHM, decimals = 0) double ohms) implements SupplyFinding {}

    record GuessedWithinReach(
            @In(value = Unit.OHM, decimals = 0) double ohms) implements SupplyFinding {}

    record CustomaryFixed() implements SupplyFinding {}

    record CustomaryRegulated() implements SupplyFinding {}

    record CustomaryCathode() implements SupplyFinding {}

    record FromModelAndLine() implements SupplyFinding {}
}
