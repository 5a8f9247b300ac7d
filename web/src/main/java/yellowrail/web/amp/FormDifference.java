package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.List;

/**
 * Where two forms differ, for the one who saved second.
 *
 * @param field  which field
 * @param theirs what is stored
 * @param mine   what was typed
 */
record FormDifference(String field, String theirs, String mine) {

    static List<FormDifference> between(AmpForm theirs, AmpForm mine) {
        List<FormDifference> differences = new ArrayList<>();
        add(differences, "Name", theirs.name(), mine.name());
        add(differences, "Notes", theirs.notes(), mine.notes());
        add(differences, "Quirks", theirs.quirks(), mine.quirks());
        add(differences, "Stage", theirs.stage(), mine.stage());
        add(differences, "Sockets", theirs.sockets(), mine.sockets());
        add(differences, "Pots", theirs.pots(), mine.pots());
        add(differences, "Current", theirs.current(), mine.current());
        add(differences, "Plate voltage", theirs.plate(), mine.plate());
        add(differences, "Screen", theirs.screen(), mine.screen());
        add(differences, "Meter and mains", theirs.meter(), mine.meter());
        add(differences, "Target", theirs.target(), mine.target());
        return differences;
    }

    private static void add(List<FormDifference> differences, String field, Object theirs, Object mine) {
        String stored = words(theirs);
        String typed = words(mine);
        if (!stored.equals(typed)) {
            differences.add(new FormDifference(field, stored, typed));
        }
    }

    /** A group of fields as {@code ohms=1, tolerance=1}, empty ones left out. */
    private static String words(Object value) {
        return value == null ? "" : value.toString().replace("\r\n", "\n").replaceAll("\\w+=(null)?(?=[,\\]])(, )?", "")
                .replaceAll("(Stage|SocketRow|PotRow|Current|Plate|Screen|Meter|Window)\\[", "").replace("]", "").strip();
    }
}
