package yellowrail.web.form;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.field.FaultSink;
import yellowrail.core.finding.Finding;
import yellowrail.web.words.Words;

/** What is wrong with a form, field by field; the first fault of a field stands. */
public final class Faults implements FaultSink {

    private final Map<String, String> byField = new LinkedHashMap<>();
    private final Optional<Words> words;

    public Faults(Words words) {
        this.words = Optional.of(words);
    }

    private Faults() {
        this.words = Optional.empty();
    }

    /** Where only counts whether there are any. */
    public static Faults counted() {
        return new Faults();
    }

    @Override
    public void add(String field, Finding fault) {
        add(field, words.map(found -> found.say(fault)).orElse(fault.code()));
    }

    /** @param key of a message of the pages' own */
    public void say(String field, String key, Object... arguments) {
        add(field, worded(key, arguments));
    }

    public void add(String field, String message) {
        byField.putIfAbsent(field, message);
    }

    /** Beside every field that somebody else has saved otherwise in the meantime: what is stored. */
    public void storedMeanwhile(Map<String, String> stored, Map<String, String> typed) {
        stored.forEach((field, text) -> {
            if (!text.equals(String.valueOf(typed.getOrDefault(field, "")).strip())) {
                say(field, "page.form.stored-meanwhile", text);
            }
        });
    }

    /** A message of the pages' own. */
    public String worded(String key, Object... arguments) {
        return words.map(found -> found.message(key, arguments)).orElse(key);
    }

    /** What a choice is called. */
    public String named(Enum<?> choice) {
        return words.map(found -> found.name(choice)).orElse(choice.name());
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
        return byField.keySet().stream()
                .anyMatch(field -> Arrays.stream(prefixes).anyMatch(field::startsWith));
    }

    public Map<String, String> byField() {
        return Collections.unmodifiableMap(byField);
    }
}
