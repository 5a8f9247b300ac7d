package yellowrail.web.database;

import java.util.List;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes records to jsonb columns and reads them back. Fields that a stored record does not have yet come out empty;
 * enums are stored by name, whatever they are called on the screen.
 */
@Component
public class JsonColumn {

    private final JsonMapper mapper = JsonMapper.builder()
            .disable(EnumFeature.READ_ENUMS_USING_TO_STRING, EnumFeature.WRITE_ENUMS_USING_TO_STRING)
            .build();

    /** @param steps the first brings format 1 of these documents to format 2, and so on */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public final <D> DocumentKind<D> kind(Class<D> type, Consumer<ObjectNode>... steps) {
        return new DocumentKind<>(mapper, type, List.of(steps));
    }

    public String write(Object value) {
        return mapper.writeValueAsString(value);
    }

    public <T> T read(String json, Class<T> type) {
        return mapper.readValue(json, type);
    }
}
