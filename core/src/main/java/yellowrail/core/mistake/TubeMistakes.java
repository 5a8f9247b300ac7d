package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** A tube in a socket that is wired for another pin-out. */
final class TubeMistakes {

    private static final TubeCatalogue CATALOGUE = TubeCatalogue.published();

    private TubeMistakes() {
    }

    static Optional<Question> wrongPins(Entry entry, Situation now) {
        if (entry.kind() != ReadingKind.TUBE) {
            return Optional.empty();
        }
        TubeType wired = now.stage().type();
        Optional<TubeType> in = CATALOGUE.find(entry.words().split("\\s+")[0]);
        if (in.isEmpty() || in.get().base().equals(wired.base()) && in.get().pins().equals(wired.pins())) {
            return Optional.empty();
        }
        String differs = in.get().base().equals(wired.base()) ? "pins %s where the socket has %s".formatted(in.get().pins(), wired.pins())
                : "a %s base where the socket is %s".formatted(in.get().base(), wired.base());
        return Optional.of(now.ask(entry, "%s is wired for %s: %s has %s. Off before anything is switched on; which tube is it?".formatted(entry.target(), wired.name(), in.get().name(), differs),
                List.of(List.of(new Entry(ReadingKind.TUBE, entry.target(), 0, wired.name())))));
    }
}
