package yellowrail.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** What another site may have our application do: nothing. */
@ExtendWith(RunningApplication.class)
class SiteTest {

    private static final String GOOD = "{\"tubeType\":\"EL34\"}";

    private final HttpClient client = HttpClient.newHttpClient();

    private HttpResponse<String> send(String method, String path, String type, Map<String, String> headers)
            throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(RunningApplication.url() + path))
                .method(method, HttpRequest.BodyPublishers.ofString(method.equals("GET") ? "" : GOOD));
        if (!type.isEmpty()) {
            request.header("Content-Type", type);
        }
        headers.forEach(request::header);
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"cross-site", "same-site"})
    void whatABrowserAsksForAnotherSiteIsRefused(String site) throws Exception {
        for (String path : new String[] {"/theme", "/amps", "/keeping", "/api/idle"}) {
            HttpResponse<String> answer = send("POST", path, "application/json", Map.of("Sec-Fetch-Site", site));
            assertThat(answer.statusCode()).as(path).isEqualTo(403);
            assertThat(answer.body()).contains("a page of another site");
        }
        assertThat(send("GET", "/api/tubes", "", Map.of("Sec-Fetch-Site", site)).statusCode())
                .isEqualTo(403);
        assertThat(send("GET", "/", "", Map.of("Sec-Fetch-Site", site)).statusCode())
                .as("a link from elsewhere leads here")
                .isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(strings = {"http://127.0.0.1:1", "http://evil.example", "null", "https://127.0.0.1"})
    void anotherOriginIsRefused(String origin) throws Exception {
        assertThat(send("POST", "/api/idle", "application/json", Map.of("Origin", origin))
                        .statusCode())
                .isEqualTo(403);
        assertThat(send("POST", "/theme", "application/x-www-form-urlencoded", Map.of("Origin", origin))
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void ourOwnPagesAndProgramsThatAreNoBrowsersAreServed() throws Exception {
        Map<String, String> own = Map.of("Origin", RunningApplication.url(), "Sec-Fetch-Site", "same-origin");
        assertThat(send("POST", "/api/idle", "application/json", own).statusCode())
                .isIn(200, 400);
        assertThat(send("POST", "/api/idle", "application/json; charset=utf-8", Map.of())
                        .statusCode())
                .isIn(200, 400);
        assertThat(send("GET", "/api/tubes", "", Map.of()).statusCode()).isNotEqualTo(403);
    }

    @ParameterizedTest
    @CsvSource({"text/plain", "application/x-www-form-urlencoded", "multipart/form-data", "''", "nonsense"})
    void jsonIsOnlyTakenUnderItsName(String type) throws Exception {
        HttpResponse<String> answer = send("POST", "/api/idle", type, Map.of());
        assertThat(answer.statusCode()).isEqualTo(415);
        assertThat(answer.body()).contains("application/json");
    }

    @Test
    void cookiesStayOnThisSite() throws Exception {
        Visitor visitor = new Visitor(RunningApplication.url());
        assertThat(visitor.get("/").headers().allValues("Set-Cookie"))
                .isNotEmpty()
                .allSatisfy(cookie -> assertThat(cookie).contains("SameSite=Strict"));
        Map<String, String> form = visitor.form("/", "/theme");
        assertThat(visitor.post("/theme", form).headers().allValues("Set-Cookie"))
                .anySatisfy(cookie -> assertThat(cookie).startsWith("theme=").contains("SameSite=Strict"))
                .allSatisfy(cookie -> assertThat(cookie).contains("SameSite=Strict"));
    }
}
