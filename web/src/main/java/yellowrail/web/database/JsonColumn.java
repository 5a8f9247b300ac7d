package yellowrail.web.database;

import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes records to jsonb columns and reads them back. Fields that a stored record does not have yet come out empty. */
@Component
public class JsonColumn {

    private final JsonMapper mapper = JsonMapper.builder().build();

    public String write(Object value) {
        return mapper.writeValueAsString(value);
    }

    public <T> T read(String json, Class<T> type) {
        return mapper.readValue(json, type);
    }
}
