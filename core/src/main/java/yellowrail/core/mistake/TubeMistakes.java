package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** A tube in a socket that is wired for another pin-out. */
final class TubeMistakes {

    private TubeMistakes() {}

    /** The tube as it would sit there. */
    private static Optional<Occupant> in(Entry entry, Situation now) {
        return entry.kind() != ReadingKind.TUBE
                ? Optional.empty()
                : now.after(entry).stage().occupants().stream()
                        .filter(each -> each.socket().label().equalsIgnoreCase(entry.target()))
                        .findFirst();
    }

    /** A name that no catalogue here has: such a tube is not judged. */
    static Optional<Question> notListed(Entry entry, Situation now) {
        return in(entry, now)
                .filter(each -> each.type().isEmpty())
                .map(each -> Situation.ask(entry, notListed(entry.target(), each.name(), now.catalogue()), List.of()));
    }

    private static MistakeFinding notListed(String socket, String name, TubeCatalogue catalogue) {
        List<String> nearest =
                catalogue.nearest(name).stream().map(TubeType::name).toList();
        return nearest.isEmpty()
                ? new MistakeFinding.TypeNotListed(socket, name)
                : new MistakeFinding.TypeNearest(socket, name, nearest);
    }

    /** A tube in a socket that is wired for another pin-out. */
    static Optional<Question> wrongPins(Entry entry, Situation now) {
        Optional<TubeType> type = in(entry, now).flatMap(Occupant::type);
        Optional<TubeType> wired = now.wired();
        if (type.isEmpty()
                || wired.isEmpty()
                || type.get().base().equals(wired.get().base())
                        && type.get().pins().equals(wired.get().pins())) {
            return Optional.empty();
        }
        TubeType tube = type.get();
        TubeType socket = wired.get();
        MistakeFinding asks = tube.base().equals(socket.base())
                ? new MistakeFinding.OtherPins(entry.target(), socket.name(), tube.name(), tube.pins(), socket.pins())
                : new MistakeFinding.OtherBase(entry.target(), socket.name(), tube.name(), tube.base(), socket.base());
        return Optional.of(Situation.ask(
                entry, asks, List.of(List.of(Entry.said(ReadingKind.TUBE, entry.target(), socket.name())))));
    }
}
