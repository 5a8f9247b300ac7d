package yellowrail.core.match;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** Under which voltages figures hold, and how groups were found. */
public sealed interface MatchFinding extends Finding {

    record Condition(
            @In(value = Unit.VOLT, given = true) double plate,
            @In(value = Unit.VOLT, given = true) double screen,
            @In(value = Unit.VOLT, given = true) double grid)
            implements MatchFinding {}

    /** A tester's own setting; it tells no volts. */
    record TesterSetting(String setting) implements MatchFinding {}

    record ConditionWithoutGrid(
            @In(value = Unit.VOLT, given = true) double plate,
            @In(value = Unit.VOLT, given = true) double screen) implements MatchFinding {}

    record NeighboursExact() implements MatchFinding {}

    record PairsExact() implements MatchFinding {}

    record PairsOfNearest(int nearest) implements MatchFinding {}

    record BlocksThenExchanges() implements MatchFinding {}

    /** Cut off while exchanges still helped. */
    record ExchangesStopped() implements MatchFinding {}
}
