package yellowrail.web.form;

import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The fields of a form that is a record of texts, of records and of lists of records. */
public final class RecordFields {

    private RecordFields() {}

    /** What they hold, by the names the form sends: {@code stage.bias}, {@code sockets[1].label}. */
    public static Map<String, String> of(Record form) {
        Map<String, String> fields = new LinkedHashMap<>();
        collect("", form, fields);
        return fields;
    }

    private static void collect(String path, Object value, Map<String, String> fields) {
        if (value instanceof Record form) {
            for (RecordComponent component : form.getClass().getRecordComponents()) {
                collect(
                        path.isEmpty() ? component.getName() : path + "." + component.getName(),
                        value(component, form),
                        fields);
            }
        } else if (value instanceof List<?> rows) {
            for (int i = 0; i < rows.size(); i++) {
                collect("%s[%d]".formatted(path, i), rows.get(i), fields);
            }
        } else {
            fields.put(path, value == null ? "" : value.toString());
        }
    }

    private static Object value(RecordComponent component, Record of) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a form's field cannot be read: " + component, e);
        }
    }
}
