package yellowrail.core.balance;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;

/** Why a balance cannot be seen, and what a swing test says. */
public sealed interface BalanceFinding extends Finding {

    record ReadTogether(String point) implements BalanceFinding {}

    record WaitsForFreshReadings() implements BalanceFinding {}

    record WaitsForEveryTube() implements BalanceFinding {}

    record SameWay(Shown pushA, Shown pullB, Shown pushB, Shown pullA, String push, String pull)
            implements BalanceFinding {}

    record MirrorImages(
            Shown pushA,
            Shown pullB,
            Shown pushB,
            Shown pullA,
            String push,
            String pull,
            @In(Unit.PERCENT) double apart)
            implements BalanceFinding {}

    record OffCentre(
            Shown pushA,
            Shown pullB,
            Shown pushB,
            Shown pullA,
            String push,
            String pull,
            @In(Unit.PERCENT) double apart)
            implements BalanceFinding {}

    record OneStronger(
            Shown pushA,
            Shown pullB,
            Shown pushB,
            Shown pullA,
            String push,
            String pull,
            @In(Unit.PERCENT) double apart,
            String stronger)
            implements BalanceFinding {}
}
