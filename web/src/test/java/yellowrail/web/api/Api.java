package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The JSON interface as a client sees it. */
final class Api {

    private Api() {}

    static HttpResponse<String> post(String path, String body) {
        return new Visitor(RunningApplication.url()).postJson(path, body);
    }

    static JsonNode json(String text) {
        return JsonMapper.builder().build().readTree(text);
    }

    /** The answer to a request that must succeed. */
    static JsonNode answer(String path, String body) {
        HttpResponse<String> response = post(path, body);
        assertThat(response.statusCode()).as(response.body()).isEqualTo(200);
        return json(response.body());
    }

    /** The problem document of a request that must be refused. */
    static String faults(String path, String body) {
        HttpResponse<String> response = post(path, body);
        assertThat(response.statusCode()).as(response.body()).isEqualTo(400);
        assertThat(response.headers().firstValue("Content-Type").orElseThrow()).startsWith("application/problem+json");
        return response.body();
    }
}
