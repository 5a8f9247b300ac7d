package yellowrail.core.amp.node;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a node of a voltage chart is part of. */
public enum NodeKind {
    PLATE("plate", "anode", "pl"),
    CATHODE("cathode", "cath", "k"),
    GRID("grid", "g1", "bias"),
    SUPPLY("supply", "b", "b+", "ht", "rail", "reservoir", "screens", "choke", "dropper"),
    HEATER("heater", "heaters", "filament", "filaments"),
    OTHER("other");

    private final List<String> words;

    NodeKind(String... words) {
        this.words = List.of(words);
    }

    /** A kind by its name, or by another word for it. */
    public static Optional<NodeKind> called(String word) {
        String wanted = word.strip().toLowerCase(Locale.ROOT);
        return Stream.of(values()).filter(kind -> kind.words.contains(wanted)).findFirst();
    }

    /** What a name like "V1a plate" or "B+ 3" tells; the last word that tells anything counts. */
    static NodeKind of(String label) {
        NodeKind kind = OTHER;
        for (String word : label.toLowerCase(Locale.ROOT).split("[\\s_/()-]+")) {
            kind = called(word.replaceAll("(?<=[a-z+])\\d+$", "")).orElse(kind);
        }
        return kind;
    }
}
