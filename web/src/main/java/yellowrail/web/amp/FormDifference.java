package yellowrail.web.amp;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Where two forms differ, for the one who saved second.
 *
 * @param field which field, in words
 * @param theirs what is stored
 * @param mine what was typed
 */
record FormDifference(String field, String theirs, String mine) {

    static List<FormDifference> between(AmpForm theirs, AmpForm mine) {
        List<FormDifference> differences = new ArrayList<>();
        compare("", theirs, mine, differences);
        differences.removeIf(difference -> difference.field().equals("version"));
        return differences;
    }

    /** Goes down to the fields that hold text; a row that only one side has is compared with nothing. */
    private static void compare(String name, Object theirs, Object mine, List<FormDifference> differences) {
        Object one = theirs != null ? theirs : mine;
        if (one instanceof List<?>) {
            List<?> stored = theirs == null ? List.of() : (List<?>) theirs;
            List<?> typed = mine == null ? List.of() : (List<?>) mine;
            for (int i = 0; i < Math.max(stored.size(), typed.size()); i++) {
                compare(
                        name.replaceAll("s$", "") + " " + (i + 1),
                        i < stored.size() ? stored.get(i) : null,
                        i < typed.size() ? typed.get(i) : null,
                        differences);
            }
        } else if (one instanceof Record) {
            for (RecordComponent component : one.getClass().getRecordComponents()) {
                compare(
                        (name + " " + words(component.getName())).strip(),
                        value(component, theirs),
                        value(component, mine),
                        differences);
            }
        } else if (!shown(theirs).equals(shown(mine))) {
            differences.add(new FormDifference(name, shown(theirs), shown(mine)));
        }
    }

    private static Object value(RecordComponent component, Object of) {
        try {
            return of == null ? null : component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a form's field cannot be read: " + component, e);
        }
    }

    /** {@code testPoint} as {@code test point}. */
    private static String words(String camelCase) {
        return camelCase.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
    }

    /** Choices come in capitals and are shown as words; what a person typed is shown as typed. */
    private static String shown(Object value) {
        String text =
                value == null ? "" : value.toString().replace("\r\n", "\n").strip();
        return text.matches("[A-Z]+(_[A-Z]+)+|[A-Z]{4,}")
                ? text.replace('_', ' ').toLowerCase(Locale.ROOT)
                : text;
    }
}
