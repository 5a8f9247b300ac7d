package yellowrail.core.timeline;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * The tube in each socket of a sheet: the type on the sheet until the log says otherwise.
 *
 * @param catalogue the published types and the builder's own
 * @param all in the order of the sheet
 */
record Occupants(TubeCatalogue catalogue, AmpSheet sheet, List<Occupant> all) {

    private static final String NEW = "new";

    /** As the sheet says. */
    static Occupants of(TubeCatalogue catalogue, AmpSheet sheet) {
        return new Occupants(catalogue, sheet, List.of()).under(sheet, true);
    }

    /** Another tube in a socket, in the words of the log: a type, and whether it is new. */
    Occupants exchanged(Socket socket, String words) {
        boolean isNew = words.toLowerCase(Locale.ROOT).matches(".*\\b" + NEW + "\\b.*");
        String first = words.split("\\s+")[0];
        Optional<TubeType> whole =
                catalogue.find(words.replaceAll("(?i)\\s+" + NEW + "\\b", "").strip());
        Occupant in = occupant(
                sheet,
                socket,
                whole.map(TubeType::name).orElse(first),
                whole.or(() -> catalogue.find(first)),
                true,
                isNew);
        return new Occupants(
                catalogue,
                sheet,
                all.stream()
                        .map(each -> each.socket().label().equals(socket.label()) ? in : each)
                        .toList());
    }

    /** Under another sheet: what was logged of a socket stays, unless the sheet puts other tubes in. */
    Occupants under(AmpSheet other, boolean otherTubes) {
        Optional<TubeType> usual = catalogue.find(other.tubeType());
        return new Occupants(
                catalogue,
                other,
                other.sockets().stream()
                        .map(socket -> all.stream()
                                .filter(each -> !otherTubes
                                        && each.logged()
                                        && each.socket().label().equals(socket.label()))
                                .findFirst()
                                .map(each -> occupant(other, socket, each.name(), each.type(), true, each.isNew()))
                                .orElseGet(() -> occupant(other, socket, other.tubeType(), usual, false, false)))
                        .toList());
    }

    private static Occupant occupant(
            AmpSheet sheet, Socket socket, String name, Optional<TubeType> type, boolean logged, boolean isNew) {
        return new Occupant(socket, name, type, type.map(sheet::rating), logged, isNew);
    }
}
