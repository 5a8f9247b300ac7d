package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Socket;

/**
 * The tubes that one pot moves together; without pots, or for what no pot reaches, the whole stage or the rest of it.
 *
 * @param pot   the pot; empty where there is none
 * @param tubes indices in the order of the sheet
 */
record PotGroup(Optional<Pot> pot, List<Integer> tubes) {

    PotGroup {
        tubes = List.copyOf(tubes);
    }

    /** The groups of an amp, in the order of its pots; a balance pot moves none of its own. */
    static List<PotGroup> of(AmpSheet sheet) {
        List<PotGroup> groups = new ArrayList<>();
        List<Integer> free = new ArrayList<>(IntStream.range(0, sheet.sockets().size()).boxed().toList());
        List<Pot> pots = sheet.pots().stream().filter(pot -> pot.action() != Pot.Action.BALANCE).toList();
        for (int i = 0; i < pots.size(); i++) {
            List<Integer> moved = new ArrayList<>(moved(sheet, pots.get(i), i));
            moved.retainAll(free);
            if (!moved.isEmpty()) {
                free.removeAll(moved);
                groups.add(new PotGroup(Optional.of(pots.get(i)), moved));
            }
        }
        if (!free.isEmpty()) {
            groups.add(new PotGroup(Optional.empty(), free));
        }
        return groups;
    }

    /** The sockets a balance pot acts on: those or the channel it names, else all. */
    static List<Integer> moved(AmpSheet sheet, Pot balance) {
        List<Integer> named = moved(sheet, balance, sheet.sockets().size());
        return named.isEmpty() ? IntStream.range(0, sheet.sockets().size()).boxed().toList() : named;
    }

    /** The sockets a pot acts on: those it names, a channel it names, or by its place in the row of pots. */
    private static List<Integer> moved(AmpSheet sheet, Pot pot, int place) {
        List<Socket> sockets = sheet.sockets();
        List<Integer> all = IntStream.range(0, sockets.size()).boxed().toList();
        if (pot.action() == Pot.Action.ALL) {
            return all;
        }
        List<String> words = List.of(pot.acts().toUpperCase(Locale.ROOT).split("[^A-Z0-9]+"));
        List<Integer> named = all.stream().filter(i -> words.contains(sockets.get(i).label().toUpperCase(Locale.ROOT))
                || words.contains(sockets.get(i).testPoint().toUpperCase(Locale.ROOT))).toList();
        if (!named.isEmpty()) {
            return named;
        }
        if (pot.action() == Pot.Action.ONE) {
            return place < sockets.size() ? List.of(place) : List.of();
        }
        String told = (pot.name() + " " + pot.acts()).toUpperCase(Locale.ROOT);
        return all.stream().filter(i -> sockets.get(i).channel() != Channel.MONO && told.contains(sockets.get(i).channel().name())).toList();
    }
}
