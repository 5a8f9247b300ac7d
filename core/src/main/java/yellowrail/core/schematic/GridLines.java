package yellowrail.core.schematic;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PotReach;
import yellowrail.core.amp.Socket;

/** What the grid leaks hang on: one line for all, or one for each pot that moves only some of the tubes. */
final class GridLines {

    private final AmpSheet sheet;

    GridLines(AmpSheet sheet) {
        this.sheet = sheet;
    }

    /** Whether one line goes past every tube. */
    boolean isOne() {
        return !sheet.bias().isCathode() && sheet.pots().stream().noneMatch(this::isOwn);
    }

    /** Whether a pot has a line of its own. */
    boolean isOwn(Pot pot) {
        return sheet.bias() == BiasKind.FIXED_ADJUSTABLE
                && (pot.action() == Pot.Action.ONE || pot.action() == Pot.Action.GROUP);
    }

    /** The pot whose line a socket hangs on; empty where it is everybody's. */
    Optional<Pot> of(Socket socket) {
        int index = sheet.sockets().indexOf(socket);
        return sheet.pots().stream()
                .filter(this::isOwn)
                .filter(pot -> PotReach.of(sheet, pot).contains(index))
                .findFirst();
    }
}
