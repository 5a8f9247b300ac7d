package yellowrail.core.timeline;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * The tube in each socket of a sheet: the type on the sheet until the log says otherwise.
 *
 * @param catalogue the published types and the builder's own
 * @param all in the order of the sheet
 * @param pulled the tube that was taken out of a socket last, by the socket
 */
record Occupants(TubeCatalogue catalogue, AmpSheet sheet, List<Occupant> all, Map<String, Occupant> pulled) {

    private static final String NEW = "new";
    /** {@code 6L6GC of V2}: the tube that sat in V2. */
    private static final Pattern FROM = Pattern.compile("(?i)\\bof\\s+(\\S+)\\s*$");

    /** As the sheet says. */
    static Occupants of(TubeCatalogue catalogue, AmpSheet sheet) {
        return new Occupants(catalogue, sheet, List.of(), Map.of()).under(sheet, true);
    }

    /**
     * Another tube in a socket, in the words of the log: a type, what is written on it or which socket it is of, and
     * whether it is new.
     *
     * @param id of the reading that says so
     */
    Occupants exchanged(Socket socket, String words, long id) {
        Occupant in = moved(socket, words)
                .map(from -> occupant(sheet, socket, from.name(), from.type(), true, false, from.tube()))
                .orElseGet(() -> put(socket, words, id));
        Map<String, Occupant> out = new HashMap<>(pulled);
        at(socket.label()).ifPresent(before -> out.put(socket.label(), before));
        return new Occupants(
                catalogue,
                sheet,
                all.stream()
                        .map(each -> each.socket().label().equals(socket.label()) ? in : each)
                        .toList(),
                Map.copyOf(out));
    }

    private Optional<Occupant> at(String label) {
        return all.stream()
                .filter(each -> each.socket().label().equalsIgnoreCase(label))
                .findFirst();
    }

    /** A tube from outside the amp. */
    private Occupant put(Socket socket, String words, long id) {
        boolean isNew = words.toLowerCase(Locale.ROOT).matches(".*\\b" + NEW + "\\b.*");
        String first = words.split("\\s+")[0];
        String rest = words.replaceAll("(?i)\\s+" + NEW + "\\b", "").strip();
        Optional<TubeType> whole = catalogue.find(rest);
        String written = whole.isPresent()
                ? ""
                : rest.substring(Math.min(first.length(), rest.length())).strip();
        return occupant(
                sheet,
                socket,
                whole.map(TubeType::name).orElse(first),
                whole.or(() -> catalogue.find(first)),
                true,
                isNew,
                written.isEmpty() ? socket.label() + "#" + id : written);
    }

    /**
     * The tube of another socket. Of two that are exchanged the first has already left: then the one that was pulled
     * there is meant.
     */
    private Optional<Occupant> moved(Socket socket, String words) {
        Matcher from = FROM.matcher(words);
        if (!from.find()) {
            return Optional.empty();
        }
        String here = at(socket.label()).map(Occupant::tube).orElse("");
        Optional<Occupant> there = at(from.group(1));
        boolean left = there.map(each -> each.tube().equals(here)).orElse(false);
        return left ? Optional.ofNullable(pulled.get(there.get().socket().label())) : there;
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
                                .map(each -> occupant(
                                        other, socket, each.name(), each.type(), true, each.isNew(), each.tube()))
                                .orElseGet(() ->
                                        occupant(other, socket, other.tubeType(), usual, false, false, socket.label())))
                        .toList(),
                otherTubes ? Map.of() : pulled);
    }

    private static Occupant occupant(
            AmpSheet sheet,
            Socket socket,
            String name,
            Optional<TubeType> type,
            boolean logged,
            boolean isNew,
            String tube) {
        return new Occupant(socket, name, type, type.map(sheet::rating), logged, isNew, tube);
    }
}
