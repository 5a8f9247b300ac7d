package yellowrail.web.api;

import static yellowrail.core.quantity.Quantity.quote;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.quantity.Figures;
import yellowrail.web.form.Faults;

/** Reads the fields of a JSON object one by one and notes every fault. */
final class JsonFields {

    /** NaN and Infinity are read so that they can be refused beside their field. */
    private static final JsonMapper MAPPER = JsonMapper.builder().enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build();

    private final JsonNode object;
    private final Faults faults;

    private JsonFields(JsonNode object, Faults faults) {
        this.object = object;
        this.faults = faults;
    }

    /** @throws NotAnObjectException if the text is not a JSON object */
    static JsonFields parse(String text, Faults faults) {
        try {
            JsonNode node = MAPPER.readTree(text);
            if (node != null && node.isObject()) {
                return new JsonFields(node, faults);
            }
        } catch (JacksonException e) {
            throw new NotAnObjectException("The body is not valid JSON: " + quote(e.getOriginalMessage().replaceAll("\\s+", " ")) + ".");
        }
        throw new NotAnObjectException("The body must be a JSON object such as {\"tubeType\": \"6L6GC\", ...}.");
    }

    /** The body as a whole cannot be read. */
    static final class NotAnObjectException extends RuntimeException {

        NotAnObjectException(String message) {
            super(message);
        }
    }

    void only(Set<String> known) {
        object.propertyNames().stream().filter(name -> !known.contains(name))
                .forEach(name -> faults.add(name.length() > 40 ? name.substring(0, 40) : name, "There is no such field."));
    }

    boolean has(String field) {
        JsonNode node = object.get(field);
        return node != null && !node.isNull();
    }

    OptionalDouble number(String field, double least, double most) {
        JsonNode node = object.get(field);
        if (node == null || node.isNull()) {
            return OptionalDouble.empty();
        }
        double value = node.isNumber() ? node.doubleValue() : Double.NaN;
        if (!(value >= least && value <= most)) {
            faults.add(field, "Expected a number from %s to %s, got %s.".formatted(Figures.plain(least), Figures.plain(most), quote(shown(node))));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    /** A number without which there is no answer; the least allowed stands in for a faulty one. */
    double required(String field, double least, double most, String why) {
        if (!has(field)) {
            faults.add(field, "Missing: %s.".formatted(why));
        }
        return number(field, least, most).orElse(least);
    }

    String words(String field) {
        JsonNode node = object.get(field);
        if (node == null || node.isNull()) {
            faults.add(field, "Missing.");
            return "";
        }
        if (!node.isString()) {
            faults.add(field, "Expected text, got %s.".formatted(quote(shown(node))));
            return "";
        }
        return node.stringValue();
    }

    /** One of a list, or the first of it where the field is left out and {@code optional}. */
    String choice(String field, List<String> choices, boolean optional) {
        if (!has(field)) {
            if (!optional) {
                faults.add(field, "Missing: one of %s.".formatted(String.join(", ", choices)));
            }
            return choices.get(0);
        }
        JsonNode node = object.get(field);
        if (node.isString() && choices.contains(node.stringValue().toLowerCase(Locale.ROOT))) {
            return node.stringValue().toLowerCase(Locale.ROOT);
        }
        faults.add(field, "Expected one of %s, got %s.".formatted(String.join(", ", choices), quote(shown(node))));
        return choices.get(0);
    }

    private static String shown(JsonNode node) {
        return node.isString() ? node.stringValue() : node.toString();
    }
}
