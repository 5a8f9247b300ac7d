package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;

/**
 * A limit outranks every wish: while a tube is over one, nothing is made hotter, and of several turns those are left
 * that make a tube cooler.
 */
final class LimitGuard {

    private final AmpSheet sheet;
    private final List<TubeIdle> tubes;
    private final PotLearned learned;

    LimitGuard(AmpSheet sheet, List<TubeIdle> tubes, PotLearned learned) {
        this.sheet = sheet;
        this.tubes = tubes;
        this.learned = learned;
    }

    /** The first tube that forbids to make anything hotter. */
    Optional<TubeIdle> limited() {
        return tubes.stream()
                .filter(tube -> tube.judgement().limits().blocksHotter())
                .findFirst();
    }

    boolean isOver() {
        return tubes.stream().anyMatch(tube -> tube.judgement().verdict() == Verdict.OVER_RATING);
    }

    /** Whether a tube was over its rating by readings that no longer count. */
    boolean isOverAndOvertaken() {
        return tubes.stream()
                .anyMatch(tube -> tube.judgement().verdict() == Verdict.OVER_RATING
                        && !tube.freshness().isFresh());
    }

    /** A move as far as the limits allow it. */
    NextMove allowed(NextMove move) {
        return limited().map(limited -> allowed(move, limited)).orElse(move);
    }

    private NextMove allowed(NextMove move, TubeIdle limited) {
        return switch (move.kind()) {
            case TURN -> cooler(move, limited);
            case CHANGE_RESISTOR -> changed(move, limited);
            default -> move;
        };
    }

    private NextMove changed(NextMove move, TubeIdle limited) {
        boolean hotter =
                move.landing().orElseThrow().tubes().stream().anyMatch(tube -> tube.cathode() > cathodeNow(move, tube));
        if (hotter) {
            return nothing(move, limited);
        }
        return isOver() ? move.with(NextMove.Kind.OFF, List.of(), new MoveFinding.OffFirst(move.says())) : move;
    }

    private NextMove cooler(NextMove move, TubeIdle limited) {
        List<NextMove.Step> cooler =
                move.steps().stream().filter(step -> !step.isHotter()).toList();
        if (cooler.isEmpty()) {
            return nothing(move, limited);
        }
        return cooler.size() == move.steps().size()
                ? move
                : move.with(
                        NextMove.Kind.TURN,
                        cooler,
                        new MoveTeller(sheet, move.from(), learned)
                                .turn(cooler, move.landing().orElseThrow(), true));
    }

    /** As read last, or in the setting the move starts from: the lower of them. */
    private double cathodeNow(NextMove move, Landing.Tube tube) {
        int place = sheet.sockets().indexOf(tube.socket());
        return tubes.get(place)
                .figures()
                .map(figures -> Math.min(figures.cathode().value(), move.from().cathode(place)))
                .orElse(move.from().cathode(place));
    }

    private static NextMove nothing(NextMove move, TubeIdle limited) {
        return new NextMove.Start(move.line(), move.mains(), move.check(), move.from())
                .to(
                        NextMove.Kind.NOTHING,
                        new MoveFinding.NothingHotter(
                                limited.socket().label(),
                                limited.judgement().limits().findings().get(0)));
    }
}
