package yellowrail.web.api;

import static yellowrail.core.typed.Quantity.quote;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.core.field.FieldFault;
import yellowrail.core.finding.Finding;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Faults;

/** Reads the declared fields of a JSON object one by one and notes every fault; a field of no shape is refused. */
final class JsonFields {

    /** NaN and Infinity are read so that they can be refused beside their field. */
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private static final int LONGEST_SHOWN = 40;

    private final JsonNode object;
    private final JsonShape shape;
    private final String path;
    private final Faults faults;

    private JsonFields(JsonNode object, JsonShape shape, String path, Faults faults) {
        this.object = object;
        this.shape = shape;
        this.path = path;
        this.faults = faults;
        object.propertyNames().stream()
                .filter(name -> !shape.has(name))
                .forEach(name -> faults.add(
                        path + name.substring(0, Math.min(name.length(), LONGEST_SHOWN)),
                        new FieldFault.NoSuchField()));
        shape.fields().stream().filter(this::has).forEach(this::check);
    }

    /**
     * Holds a field against its declaration, whether or not anybody will ask for it; objects are read by themselves.
     */
    private void check(JsonField field) {
        switch (field.kind()) {
            case NUMBER -> {
                if (!Double.isNaN(field.least())) {
                    number(field);
                }
            }
            case WHOLE -> whole(field);
            case YES_OR_NO -> flag(field);
            case TEXT -> {
                if (field.choices().isEmpty()) {
                    wordsOr(field);
                } else {
                    choice(field);
                }
            }
            case TIME -> time(field);
            case TEXTS -> texts(field);
            case OBJECT, OBJECTS -> {}
        }
    }

    /** @throws NotAnObjectException if the text is not a JSON object */
    static JsonFields parse(String text, JsonShape shape, Faults faults) {
        try {
            JsonNode node = MAPPER.readTree(text);
            if (node != null && node.isObject()) {
                return new JsonFields(node, shape, "", faults);
            }
        } catch (JacksonException e) {
            TokenStreamLocation at = e.getLocation();
            throw new NotAnObjectException(
                    at == null || at.getLineNr() < 1
                            ? new RequestFault.NoJson()
                            : new RequestFault.NoJsonAt(at.getLineNr(), at.getColumnNr()));
        }
        throw new NotAnObjectException(new RequestFault.NoObject());
    }

    /** The fields of a query: what reads as a number is one. */
    static JsonFields ofQuery(Map<String, String> query, JsonShape shape, Faults faults) {
        ObjectNode object = MAPPER.createObjectNode();
        query.forEach((name, text) -> {
            try {
                object.put(name, Double.parseDouble(text));
            } catch (NumberFormatException e) {
                object.put(name, text);
            }
        });
        return new JsonFields(object, shape, "", faults);
    }

    /** The body as a whole cannot be read. */
    static final class NotAnObjectException extends RuntimeException {

        private final transient RequestFault fault;

        NotAnObjectException(RequestFault fault) {
            super(fault.code());
            this.fault = fault;
        }

        RequestFault fault() {
            return fault;
        }
    }

    void fault(JsonField field, Finding fault) {
        faults.add(path + field.name(), fault);
    }

    /** What stands at a field, null where it is left out. */
    private JsonNode at(JsonField field) {
        if (!shape.has(field.name())) {
            throw new IllegalArgumentException("%s has no %s".formatted(shape.name(), field.name()));
        }
        JsonNode node = object.get(field.name());
        return node == null || node.isNull() ? null : node;
    }

    boolean has(JsonField field) {
        return at(field) != null;
    }

    OptionalDouble number(JsonField field) {
        JsonNode node = at(field);
        if (node == null) {
            return OptionalDouble.empty();
        }
        double value = node.isNumber() ? value(node) : Double.NaN;
        if (!(value >= field.least() && value <= field.most())) {
            fault(field, new FieldFault.NoNumber(sent(node), field.least(), field.most()));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    /** A whole number of hundreds of digits is a number too, only far out of range. */
    private static double value(JsonNode node) {
        return node.isBigInteger() ? node.bigIntegerValue().doubleValue() : node.doubleValue();
    }

    /** A number without which there is no answer; the least allowed stands in for a faulty one. */
    double required(JsonField field) {
        if (!has(field)) {
            fault(field, new RequestFault.NumberMissing(field.least(), field.most()));
        }
        return number(field).orElse(field.least());
    }

    /** A whole number, or the usual one where it is left out and there is one. */
    int whole(JsonField field) {
        if (!has(field) && field.usual() instanceof Number usual) {
            return usual.intValue();
        }
        double number = required(field);
        if (number != Math.rint(number)) {
            fault(field, new FieldFault.NotWhole(sent(at(field)), field.least(), field.most()));
        }
        return (int) number;
    }

    /** Yes or no; no where it is left out. */
    boolean flag(JsonField field) {
        JsonNode node = at(field);
        if (node != null && !node.isBoolean()) {
            fault(field, new FieldFault.NoYesOrNo(sent(node)));
        }
        return node != null && node.isBoolean() && node.booleanValue();
    }

    /** A point in time, as ISO 8601 writes it. */
    Optional<Instant> time(JsonField field) {
        JsonNode node = at(field);
        if (node == null && field.isNeeded()) {
            fault(field, new FieldFault.Missing());
        }
        if (node == null) {
            return Optional.empty();
        }
        try {
            return Optional.of(OffsetDateTime.parse(node.isString() ? node.stringValue() : "")
                    .toInstant());
        } catch (DateTimeParseException e) {
            fault(field, new FieldFault.NoTime(sent(node)));
            return Optional.empty();
        }
    }

    /** The one object under a field. */
    Optional<JsonFields> object(JsonField field) {
        JsonNode node = at(field);
        if (node == null || !node.isObject()) {
            fault(field, node == null ? new FieldFault.Missing() : new FieldFault.NoObject(sent(node)));
            return Optional.empty();
        }
        return Optional.of(new JsonFields(node, field.of(), path + field.name() + ".", faults));
    }

    /** The objects of a list; each tells its faults under its place in it: {@code tubes[2].label}. */
    List<JsonFields> objects(JsonField field) {
        JsonNode node = at(field);
        int least = (int) field.least();
        int most = (int) field.most();
        if (node == null) {
            fault(field, new FieldFault.Missing());
            return List.of();
        }
        if (!node.isArray() || node.size() < least || node.size() > most) {
            String sent = node.isArray() ? String.valueOf(node.size()) : sent(node);
            fault(field, new FieldFault.NoListOfObjects(sent, least, most));
            return List.of();
        }
        List<JsonFields> objects = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            String each = "%s%s[%d]".formatted(path, field.name(), i);
            if (node.get(i).isObject()) {
                objects.add(new JsonFields(node.get(i), field.of(), each + ".", faults));
            } else {
                faults.add(each, new FieldFault.NoObject(sent(node.get(i))));
            }
        }
        return objects;
    }

    /** A list of texts, or texts with blanks between; none where it is left out. */
    List<String> texts(JsonField field) {
        JsonNode node = at(field);
        if (node == null) {
            return List.of();
        }
        if (node.isString()) {
            return List.of(node.stringValue().strip().split("[\\s,]+"));
        }
        if (!node.isArray() || node.valueStream().anyMatch(each -> !each.isString())) {
            fault(field, new FieldFault.NoListOfTexts(sent(node)));
            return List.of();
        }
        return node.valueStream().map(JsonNode::stringValue).toList();
    }

    /** Text that is needed. */
    String words(JsonField field) {
        if (!has(field)) {
            fault(field, new FieldFault.Missing());
        }
        return wordsOr(field);
    }

    /** Text that may be left out: blank then. */
    String wordsOr(JsonField field) {
        JsonNode node = at(field);
        if (node != null && !node.isString()) {
            fault(field, new FieldFault.NoText(sent(node)));
        }
        return node != null && node.isString() ? node.stringValue() : "";
    }

    /** One of the field's choices, as they are written; the usual one where the field is left out and there is one. */
    String choice(JsonField field) {
        List<String> choices = field.choices();
        JsonNode node = at(field);
        if (node == null) {
            if (field.usual() == null) {
                fault(field, new RequestFault.ChoiceMissing(choices));
            }
            return field.usual() == null ? choices.get(0) : field.usual().toString();
        }
        return choices.stream()
                .filter(each -> node.isString() && each.equalsIgnoreCase(node.stringValue()))
                .findFirst()
                .orElseGet(() -> {
                    fault(field, new RequestFault.OneOf(sent(node), choices));
                    return choices.get(0);
                });
    }

    /** A type of the catalogue; the first of it stands in for a faulty one. */
    TubeType tubeType(JsonField field, TubeCatalogue catalogue) {
        String name = words(field);
        return catalogue.find(name).orElseGet(() -> {
            List<String> nearest =
                    catalogue.nearest(name).stream().map(TubeType::name).toList();
            fault(
                    field,
                    nearest.isEmpty()
                            ? new RequestFault.NoSuchType(
                                    quote(name),
                                    catalogue.types().stream()
                                            .map(TubeType::name)
                                            .toList())
                            : new RequestFault.NearestTypes(quote(name), nearest));
            return catalogue.types().get(0);
        });
    }

    private static String sent(JsonNode node) {
        return quote(node.isString() ? node.stringValue() : node.toString());
    }
}
