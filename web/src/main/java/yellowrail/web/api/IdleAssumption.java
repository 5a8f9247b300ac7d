package yellowrail.web.api;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What was taken for granted about one idle reading. */
sealed interface IdleAssumption extends Finding {

    record TakenAs(
            String field,
            @In(value = Unit.PERCENT, given = true) double ratio) implements IdleAssumption {}

    record RatingOf(Finding provenance) implements IdleAssumption {}

    record CathodeMayStandAbove() implements IdleAssumption {}

    record AverageOf(int tubes) implements IdleAssumption {}

    record CopperTakenCold(@In(Unit.MILLIAMP) double amps) implements IdleAssumption {}

    record TypicalScreen(@In(Unit.PERCENT) double share) implements IdleAssumption {}

    record ScreenNotKnown() implements IdleAssumption {}
}
