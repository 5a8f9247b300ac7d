package yellowrail.core.amp;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** Which sockets a pot acts on: those it names, the channel it names, or by its place in the row of pots. */
public final class PotReach {

    private PotReach() {}

    /** @return the sockets' places on the sheet; none for a pot whose words tell nothing */
    public static List<Integer> of(AmpSheet sheet, Pot pot) {
        List<Socket> sockets = sheet.sockets();
        List<Integer> all = IntStream.range(0, sockets.size()).boxed().toList();
        if (pot.action() == Pot.Action.ALL) {
            return all;
        }
        List<String> words = List.of(pot.acts().toUpperCase(Locale.ROOT).split("[^A-Z0-9]+"));
        List<Integer> named = all.stream()
                .filter(i -> words.contains(sockets.get(i).label().toUpperCase(Locale.ROOT))
                        || words.contains(sockets.get(i).testPoint().toUpperCase(Locale.ROOT)))
                .toList();
        if (!named.isEmpty()) {
            return named;
        }
        if (pot.action() == Pot.Action.ONE) {
            int place = levels(sheet).indexOf(pot);
            return place >= 0 && place < sockets.size() ? List.of(place) : List.of();
        }
        String told = (pot.name() + " " + pot.acts()).toUpperCase(Locale.ROOT);
        List<Integer> channel = all.stream()
                .filter(i -> sockets.get(i).channel() != Channel.MONO
                        && told.contains(sockets.get(i).channel().name()))
                .toList();
        return channel.isEmpty() && pot.action() == Pot.Action.BALANCE ? all : channel;
    }

    /** The pots that set a level, in the order of the sheet; a balance pot moves none of its own. */
    public static List<Pot> levels(AmpSheet sheet) {
        return sheet.pots().stream()
                .filter(pot -> pot.action() != Pot.Action.BALANCE)
                .toList();
    }
}
