package yellowrail.web.api;

import java.util.List;

/**
 * The fields of a JSON object, in the order of the OpenAPI document.
 *
 * @param name what it is called there
 * @param told what it is; blank where the name says it
 */
record JsonShape(String name, String told, List<JsonField> fields) {

    JsonShape {
        fields = List.copyOf(fields);
    }

    static JsonShape of(String name, String told, JsonField... fields) {
        return new JsonShape(name, told, List.of(fields));
    }

    boolean has(String field) {
        return fields.stream().anyMatch(each -> each.name().equals(field));
    }
}
