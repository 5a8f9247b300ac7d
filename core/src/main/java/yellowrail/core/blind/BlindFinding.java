package yellowrail.core.blind;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What a blind comparison says. */
public sealed interface BlindFinding extends Finding {

    /** What chance does more seldom is called more than that. */
    double RARE = 0.05;

    record CouldBeChance(@In(Unit.PERCENT) double chance) implements BlindFinding {}

    record HardlyChance(@In(Unit.PERCENT) double chance) implements BlindFinding {}

    /** @param best how often chance does what as many rounds show at best */
    record TooFewRounds(int rounds, @In(Unit.PERCENT) double best) implements BlindFinding {}

    record GuessedByChance(
            int right, int trials, @In(Unit.PERCENT) double chance) implements BlindFinding {}

    record ToldApart(
            int right, int trials, @In(Unit.PERCENT) double chance) implements BlindFinding {}
}
