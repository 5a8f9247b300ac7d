package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.web.form.RecordFields;
import yellowrail.web.words.Words;

/**
 * Where two forms differ, for the one who saved second.
 *
 * @param field what the field is called on the form
 * @param theirs what is stored
 * @param mine what was typed
 */
record FormDifference(String field, String theirs, String mine) {

    private static final Pattern ROW = Pattern.compile("(sockets|pots)\\[(\\d+)]\\.(.+)");
    private static final Map<String, String> ROWS =
            Map.of("sockets", "page.amp.form.socket", "pots", "page.amp.form.pot");

    static List<FormDifference> between(AmpForm theirs, AmpForm mine, AmpChoices choices, Words words) {
        Map<String, String> stored = told(theirs);
        Map<String, String> typed = told(mine);
        Set<String> fields = new LinkedHashSet<>(stored.keySet());
        fields.addAll(typed.keySet());
        List<FormDifference> differences = new ArrayList<>();
        for (String field : fields) {
            String one = stored.getOrDefault(field, "");
            String other = typed.getOrDefault(field, "");
            if (!one.equals(other)) {
                differences.add(new FormDifference(
                        name(field, words), choices.named(kind(field), one), choices.named(kind(field), other)));
            }
        }
        return differences;
    }

    /** What the builder has typed or chosen, by the names of the fields; a row that only one side has is blank. */
    private static Map<String, String> told(AmpForm form) {
        Map<String, String> told = new LinkedHashMap<>(RecordFields.of(form));
        told.keySet().removeIf(field -> field.equals("version") || field.startsWith("drawn."));
        told.replaceAll((field, text) -> text.replace("\r\n", "\n").strip());
        return told;
    }

    /** The name of a field without its row. */
    private static String kind(String field) {
        return field.replaceAll("\\[\\d+]", "");
    }

    private static String name(String field, Words words) {
        String label = words.message("page.amp.field." + kind(field));
        Matcher row = ROW.matcher(field);
        return row.matches()
                ? words.message(ROWS.get(row.group(1)), Integer.parseInt(row.group(2)) + 1) + ": " + label
                : label;
    }
}
