package yellowrail.web.api;

import static yellowrail.core.typed.Quantity.quote;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Faults;

/** Reads the fields of a JSON object one by one and notes every fault. */
final class JsonFields {

    /** NaN and Infinity are read so that they can be refused beside their field. */
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private final JsonNode object;
    private final String path;
    private final Faults faults;

    private JsonFields(JsonNode object, String path, Faults faults) {
        this.object = object;
        this.path = path;
        this.faults = faults;
    }

    /** @throws NotAnObjectException if the text is not a JSON object */
    static JsonFields parse(String text, Faults faults) {
        try {
            JsonNode node = MAPPER.readTree(text);
            if (node != null && node.isObject()) {
                return new JsonFields(node, "", faults);
            }
        } catch (JacksonException e) {
            TokenStreamLocation at = e.getLocation();
            throw new NotAnObjectException(
                    at == null || at.getLineNr() < 1
                            ? "The body is not valid JSON."
                            : "The body is not valid JSON at line %d, column %d."
                                    .formatted(at.getLineNr(), at.getColumnNr()));
        }
        throw new NotAnObjectException("The body must be a JSON object, {\"field\": value, ...}.");
    }

    /** The body as a whole cannot be read. */
    static final class NotAnObjectException extends RuntimeException {

        NotAnObjectException(String message) {
            super(message);
        }
    }

    void fault(String field, String message) {
        faults.add(path + field, message);
    }

    void only(Set<String> known) {
        object.propertyNames().stream()
                .filter(name -> !known.contains(name))
                .forEach(name -> fault(name.length() > 40 ? name.substring(0, 40) : name, "There is no such field."));
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
        double value = node.isNumber() ? value(node) : Double.NaN;
        if (!(value >= least && value <= most)) {
            fault(
                    field,
                    "Expected a number from %s to %s, got %s."
                            .formatted(Figures.plain(least), Figures.plain(most), quote(shown(node))));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    /** A whole number of hundreds of digits is a number too, only far out of range. */
    private static double value(JsonNode node) {
        return node.isBigInteger() ? node.bigIntegerValue().doubleValue() : node.doubleValue();
    }

    /** A number without which there is no answer; the least allowed stands in for a faulty one. */
    double required(String field, double least, double most, String why) {
        if (!has(field)) {
            fault(field, "Missing: %s.".formatted(why));
        }
        return number(field, least, most).orElse(least);
    }

    /** Yes or no; no where it is left out. */
    boolean flag(String field) {
        JsonNode node = object.get(field);
        if (node != null && !node.isNull() && !node.isBoolean()) {
            fault(field, "Expected true or false, got %s.".formatted(quote(shown(node))));
        }
        return node != null && node.isBoolean() && node.booleanValue();
    }

    /** A point in time, as ISO 8601 writes it. */
    Optional<Instant> time(String field) {
        if (!has(field)) {
            return Optional.empty();
        }
        try {
            return Optional.of(OffsetDateTime.parse(words(field)).toInstant());
        } catch (DateTimeParseException e) {
            fault(
                    field,
                    "Expected a time such as 2026-03-01T19:05:00Z, got %s.".formatted(quote(shown(object.get(field)))));
            return Optional.empty();
        }
    }

    /** The one object under a field. */
    Optional<JsonFields> object(String field) {
        JsonNode node = object.get(field);
        if (node == null || !node.isObject()) {
            fault(field, "Expected an object, got %s.".formatted(node == null ? "nothing" : quote(shown(node))));
            return Optional.empty();
        }
        return Optional.of(new JsonFields(node, path + field + ".", faults));
    }

    /** A list of words, or words with blanks between; none where it is left out. */
    List<String> list(String field) {
        JsonNode node = object.get(field);
        if (node == null || node.isNull()) {
            return List.of();
        }
        if (node.isString()) {
            return List.of(node.stringValue().strip().split("[\\s,]+"));
        }
        if (!node.isArray() || node.valueStream().anyMatch(each -> !each.isString())) {
            fault(field, "Expected a list of texts, got %s.".formatted(quote(shown(node))));
            return List.of();
        }
        return node.valueStream().map(JsonNode::stringValue).toList();
    }

    String words(String field) {
        JsonNode node = object.get(field);
        if (node == null || node.isNull()) {
            fault(field, "Missing.");
            return "";
        }
        if (!node.isString()) {
            fault(field, "Expected text, got %s.".formatted(quote(shown(node))));
            return "";
        }
        return node.stringValue();
    }

    /** One of a list, or the first of it where the field is left out and {@code optional}. */
    String choice(String field, List<String> choices, boolean optional) {
        if (!has(field)) {
            if (!optional) {
                fault(field, "Missing: one of %s.".formatted(String.join(", ", choices)));
            }
            return choices.get(0);
        }
        JsonNode node = object.get(field);
        if (node.isString() && choices.contains(node.stringValue().toLowerCase(Locale.ROOT))) {
            return node.stringValue().toLowerCase(Locale.ROOT);
        }
        fault(field, "Expected one of %s, got %s.".formatted(String.join(", ", choices), quote(shown(node))));
        return choices.get(0);
    }

    /** A type of the catalogue; the first of it stands in for a faulty one. */
    TubeType tubeType(String field, TubeCatalogue catalogue) {
        String name = words(field);
        return catalogue.find(name).orElseGet(() -> {
            fault(
                    field,
                    "%s is not in the catalogue; known are %s."
                            .formatted(
                                    quote(name),
                                    String.join(
                                            ", ",
                                            catalogue.types().stream()
                                                    .map(TubeType::name)
                                                    .toList())));
            return catalogue.types().get(0);
        });
    }

    /** The objects of a list; each tells its faults under its place in it: {@code tubes[2].label}. */
    List<JsonFields> objects(String field, int least, int most) {
        JsonNode node = object.get(field);
        if (node == null || !node.isArray() || node.size() < least || node.size() > most) {
            fault(
                    field,
                    "Expected a list of %d to %d objects, got %s."
                            .formatted(
                                    least,
                                    most,
                                    node == null ? "nothing" : node.isArray() ? node.size() : quote(shown(node))));
            return List.of();
        }
        List<JsonFields> objects = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            String each = "%s%s[%d]".formatted(path, field, i);
            if (node.get(i).isObject()) {
                objects.add(new JsonFields(node.get(i), each + ".", faults));
            } else {
                faults.add(each, "Expected an object, got %s.".formatted(quote(shown(node.get(i)))));
            }
        }
        return objects;
    }

    /** Text that may be left out: blank then. */
    String wordsOr(String field) {
        return has(field) ? words(field) : "";
    }

    /** A whole number; the least allowed stands in for a faulty one. */
    int whole(String field, int least, int most, String why) {
        double number = required(field, least, most, why);
        if (number != Math.rint(number)) {
            fault(
                    field,
                    "Expected a whole number from %d to %d, got %s.".formatted(least, most, Figures.plain(number)));
        }
        return (int) number;
    }

    private static String shown(JsonNode node) {
        return node.isString() ? node.stringValue() : node.toString();
    }
}
