package yellowrail.web.licence;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A part that others have made and that ships with the application.
 *
 * @param licences as the part names them; blank if it names none
 */
record Part(String name, String version, String licences) {

    private static final ClassPathResource BILL = new ClassPathResource("META-INF/sbom/application.cdx.json");

    /** All of them, by name; none in an application that was not built but compiled. */
    static List<Part> all() throws IOException {
        if (!BILL.exists()) {
            return List.of();
        }
        try (InputStream in = BILL.getInputStream()) {
            List<Part> parts = new ArrayList<>();
            for (JsonNode component :
                    JsonMapper.shared().readTree(in).path("components").values()) {
                String group = component.path("group").asString("");
                if (!group.equals("yellowrail")) {
                    parts.add(new Part(
                            group + ":" + component.path("name").asString(""),
                            component.path("version").asString(""),
                            licences(component)));
                }
            }
            parts.sort(Comparator.comparing(Part::name));
            return parts;
        }
    }

    private static String licences(JsonNode component) {
        return component.path("licenses").values().stream()
                .map(each -> each.has("expression") ? each.path("expression") : named(each.path("license")))
                .map(JsonNode::asString)
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static JsonNode named(JsonNode licence) {
        return licence.has("id") ? licence.path("id") : licence.path("name");
    }
}
