package yellowrail.web.form;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.util.UriComponentsBuilder;

/** The end of an address that carries a form. */
public final class Query {

    private Query() {}

    /** What stands in the fields, in the order of their names. */
    public static String of(Map<String, String> fields) {
        return fields.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(field -> field.getKey() + "=" + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
    }

    /** What stands in an address; of a field that stands twice the first. */
    public static Map<String, String> read(String query) {
        return UriComponentsBuilder.newInstance().query(query).build().getQueryParams().entrySet().stream()
                .filter(field -> field.getValue().get(0) != null)
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        field -> URLDecoder.decode(field.getValue().get(0), StandardCharsets.UTF_8)));
    }
}
