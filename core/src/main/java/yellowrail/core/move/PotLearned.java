package yellowrail.core.move;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PotReach;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Timeline;

/**
 * Which way a pot turns hotter, as the log shows it: a turn, and the first reading after it of a point it reaches,
 * against the last before it. A tube exchanged or another pot turned between the two says nothing.
 */
final class PotLearned {

    /** A change worth calling a change, as a ratio. */
    private static final double MOVED = 0.03;

    private final AmpSheet sheet;
    private final Map<String, Pot.Turn> hotter = new HashMap<>();

    PotLearned(AmpSheet sheet, Timeline timeline) {
        this.sheet = sheet;
        Map<String, Double> last = new HashMap<>();
        Map<String, Double> atTurn = new HashMap<>();
        Pot turned = null;
        Pot.Turn way = Pot.Turn.UNKNOWN;
        for (Reading reading : timeline.presentReadings()) {
            switch (reading.kind()) {
                case TURN -> {
                    Pot pot = pot(reading.entry().target());
                    boolean again = pot != null && pot.equals(turned) && way == way(reading);
                    if (!again) {
                        atTurn = new HashMap<>(last);
                    }
                    turned = pot;
                    way = way(reading);
                }
                case SENSE_VOLTS, SENSE_AMPS -> {
                    Double before = atTurn.get(reading.entry().target());
                    if (turned != null
                            && before != null
                            && reaches(turned, reading.entry().target())
                            && Math.abs(reading.value() / before - 1) > MOVED) {
                        hotter.put(turned.name(), reading.value() > before ? way : way.opposite());
                    }
                    last.put(reading.entry().target(), reading.value());
                }
                default -> {}
            }
        }
    }

    private Pot pot(String name) {
        return sheet.pots().stream()
                .filter(each -> each.name().equals(name) && each.action() != Pot.Action.BALANCE)
                .findFirst()
                .orElse(null);
    }

    private static Pot.Turn way(Reading turn) {
        return turn.entry().way();
    }

    private boolean reaches(Pot pot, String point) {
        return PotReach.of(sheet, pot).stream()
                .map(sheet.sockets()::get)
                .map(Socket::testPoint)
                .anyMatch(point::equals);
    }

    /** As seen in this run; empty where no turn told. */
    Optional<Pot.Turn> seen(Pot pot) {
        return Optional.ofNullable(hotter.get(pot.name()));
    }

    /** Which way to turn it hotter: as seen, else as the sheet says. */
    Pot.Turn hotter(Pot pot) {
        return seen(pot).orElse(pot.hotter());
    }
}
