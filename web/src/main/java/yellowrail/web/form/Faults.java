package yellowrail.web.form;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** What is wrong with a form, field by field; the first fault of a field stands. */
public final class Faults {

    private final Map<String, String> byField = new LinkedHashMap<>();

    public void add(String field, String message) {
        byField.putIfAbsent(field, message);
    }

    public boolean any() {
        return !byField.isEmpty();
    }

    /** The fault of this field, or null: templates test for it. */
    public String of(String field) {
        return byField.get(field);
    }

    /** Whether any of the fields that begin so has a fault. */
    public boolean under(String... prefixes) {
        return byField.keySet().stream().anyMatch(field -> Arrays.stream(prefixes).anyMatch(field::startsWith));
    }

    public Map<String, String> byField() {
        return Collections.unmodifiableMap(byField);
    }
}
