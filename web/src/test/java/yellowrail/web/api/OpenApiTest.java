package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** What the OpenAPI document tells of a request is what reads it. */
@ExtendWith(RunningApplication.class)
class OpenApiTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final JsonNode document =
            new JsonMapper().readTree(visitor.get("/v3/api-docs").body());

    /** Those whose body is JSON. */
    private List<String> paths() {
        return document.get("paths").propertyNames().stream()
                .filter(path -> document.at("/paths/" + path.replace("/", "~1") + "/post/requestBody/content")
                        .has("application/json"))
                .toList();
    }

    @Test
    void whatIsAskedBesideASoundIsToldAndKept() {
        document.at("/paths/~1api~1spectrum/post/parameters").forEach(parameter -> {
            String name = parameter.get("name").stringValue();
            double most = parameter.at("/schema/maximum").doubleValue();
            assertThat(visitor.postBytes("/api/spectrum?%s=%s".formatted(name, 2 * most), "audio/wav", new byte[0])
                            .body())
                    .contains("{\"field\":\"" + name + "\",\"message\":\"Expected a number from ");
        });
        assertThat(document.at("/paths/~1api~1spectrum/post/parameters")).hasSize(6);
        assertThat(document.at("/paths/~1api~1spectrum/post/requestBody/content")
                        .has("audio/wav"))
                .isTrue();
    }

    private JsonNode requestOf(String path) {
        String reference = document.at(
                        "/paths/" + path.replace("/", "~1") + "/post/requestBody/content/application~1json/schema/$ref")
                .stringValue();
        return document.at(reference.substring(1));
    }

    private String errors(String path, String field, Object value) {
        return visitor.postJson(path, "{\"%s\": %s}".formatted(field, value)).body();
    }

    @Test
    void everyBoundThatIsToldIsKept() {
        List<String> tried = new ArrayList<>();
        for (String path : paths()) {
            requestOf(path).get("properties").forEachEntry((field, told) -> {
                for (String bound : List.of("minimum", "maximum")) {
                    if (told.has(bound)) {
                        double at = told.get(bound).doubleValue();
                        double beyond = bound.equals("minimum") ? at - Math.abs(at) - 1 : at + Math.abs(at) + 1;
                        assertThat(errors(path, field, beyond))
                                .as("%s %s = %s", path, field, beyond)
                                .contains("{\"field\":\"" + field + "\",\"message\":\"Expected a number from ");
                        assertThat(errors(path, field, at))
                                .as("%s %s = %s", path, field, at)
                                .doesNotContain("{\"field\":\"" + field + "\",\"message\":\"Expected a number from ");
                        tried.add(path + " " + field);
                    }
                }
            });
        }
        assertThat(tried).hasSizeGreaterThan(100);
    }

    @Test
    void everyChoiceThatIsToldIsTakenAndNoOther() {
        for (String path : paths()) {
            requestOf(path).get("properties").forEachEntry((field, told) -> {
                if (told.has("enum")) {
                    assertThat(errors(path, field, "\"no such choice\""))
                            .contains("{\"field\":\"" + field + "\",\"message\":\"Expected one of ");
                    told.get("enum")
                            .forEach(choice -> assertThat(errors(path, field, choice))
                                    .doesNotContain("{\"field\":\"" + field + "\",\"message\":\"Expected one of "));
                }
            });
        }
    }

    @Test
    void whatIsNeededIsMissedAndWhatIsNotToldIsRefused() {
        for (String path : paths()) {
            String answer = visitor.postJson(path, "{\"colour\": 1}").body();
            requestOf(path)
                    .get("required")
                    .forEach(field -> assertThat(answer)
                            .as(path)
                            .contains("{\"field\":\"" + field.stringValue() + "\",\"message\":\"Missing"));
            assertThat(answer).contains("{\"field\":\"colour\",\"message\":\"There is no such field.\"}");
        }
    }

    @Test
    void faultsAreToldInTheVocabularyThatWasAskedFor() {
        String placing = "{\"tubes\": [{\"label\": \"a\", \"milliamps\": 3}, {\"label\": \"b\", \"milliamps\": 3}],"
                + " \"sockets\": [{\"label\": \"V1\", \"side\": \"push\"}]}";
        assertThat(visitor.postJson("/api/placing", placing).body())
                .contains("The tubes cannot be placed", "got 2 tubes");
        assertThat(visitor.postJson("/api/placing", placing, "en-GB").body())
                .contains("The valves cannot be placed", "got 2 valves");
    }
}
