package yellowrail.core.move;

import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.soak.PointSoak;
import yellowrail.core.soak.Soak;

/** A tube that creeps is not trimmed: its reading would be another again before the screwdriver is put down. */
final class CreepGuard {

    private final AmpSheet sheet;
    private final List<PointSoak> trouble;

    CreepGuard(AmpSheet sheet, Soak soak) {
        this.sheet = sheet;
        this.trouble = soak.trouble();
    }

    /** What of a move leaves every creeping tube alone. */
    NextMove allowed(NextMove move) {
        if (trouble.isEmpty() || move.kind() == NextMove.Kind.OFF || move.kind() == NextMove.Kind.NOTHING) {
            return move;
        }
        PointSoak worst =
                trouble.stream().filter(PointSoak::runsAway).findFirst().orElse(trouble.get(0));
        NextMove.Start start = new NextMove.Start(move.line(), move.mains(), move.check(), move.from());
        List<String> sockets = sockets(worst.label());
        if (worst.runsAway()) {
            return start.to(NextMove.Kind.OFF, new MoveFinding.OffRunningAway(sockets));
        }
        return start.to(
                NextMove.Kind.NOTHING,
                worst.before().isPresent()
                        ? new MoveFinding.NotUntilCleared(sockets)
                        : new MoveFinding.NotWhileItCreeps(sockets, worst.now().rate()));
    }

    private List<String> sockets(String point) {
        return sheet.socketsAt(point).stream().map(Socket::label).toList();
    }
}
