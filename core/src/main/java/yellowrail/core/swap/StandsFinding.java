package yellowrail.core.swap;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What a type does with nothing changed but the tube. */
public sealed interface StandsFinding extends Finding {

    record Draws(
            String wants,
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.MILLIAMP, decimals = 0) double plusMinus,
            @In(value = Unit.WATT, decimals = 0) double watts,
            @In(value = Unit.PERCENT, decimals = 0) double ratio)
            implements StandsFinding {}

    /** Within what models and tubes of one type scatter. */
    record NearlyTheSame(
            String in,
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements StandsFinding {}

    record InsteadOf(
            String in,
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements StandsFinding {}

    record OverItsRating() implements StandsFinding {}

    record MustBeSet() implements StandsFinding {}

    record BiasNotRead() implements StandsFinding {}

    record ResistorNotKnown() implements StandsFinding {}

    /** How: grid to cathode that was read. */
    record AtBias(
            @In(Unit.VOLT) double grid,
            @In(Unit.VOLT) double plate,
            @In(Unit.VOLT) double screen) implements StandsFinding {}

    /** How: on the resistor that is in. */
    record OnResistor(
            @In(value = Unit.OHM, given = true) double ohms,
            int sharedBy,
            @In(Unit.VOLT) double plate,
            @In(Unit.VOLT) double screen)
            implements StandsFinding {}

    record Source(String wants, Finding trust) implements StandsFinding {}
}
