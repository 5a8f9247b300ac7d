package yellowrail.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** What no page and no client of ours would send: refused with 400 and words, and no name of a library in them. */
@ExtendWith(RunningApplication.class)
class AtTheDoorTest {

    private static final String DIGITS = "9".repeat(400);

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private static void refused(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(400);
        inWords(answer.body());
    }

    private static void inWords(String body) {
        assertThat(body).containsPattern("[a-z]{3,} [a-z]{2,} ").doesNotContain("Exception", "org.", "java.", "tools.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/drawer?type=%00",
                "/drawer?q=a%00b",
                "/amps/1/swap?wants=%00",
                "/drawer?page=" + "9999999999999",
            })
    void aQueryThatCannotBeOne(String path) {
        refused(visitor.get(path));
    }

    @Test
    void aFieldThatNoTextCanHold() {
        String token = visitor.form("/amps/new", "/amps").get("_csrf");
        refused(visitor.post("/drawer/match", Map.of("_csrf", token, "q", "a\u0000b")));
    }

    @Test
    void aNumberOfFourHundredDigits() {
        HttpResponse<String> swap =
                visitor.postJson("/api/swap-check", "{\"in\":\"EL34\",\"wants\":\"KT88\",\"tubes\":" + DIGITS + "}");
        refused(swap);
        assertThat(swap.body()).contains("\"field\":\"tubes\"", "Expected a number from 1 to 8");
        HttpResponse<String> amp = visitor.postJson(
                "/api/run", "{\"amp\":{\"tubeType\":\"EL34\",\"tubes\":2,\"ohms\":-" + DIGITS + "},\"log\":[]}");
        refused(amp);
        assertThat(visitor.get("/amps/1/load-line?load=" + DIGITS).statusCode()).isIn(404, 422);
    }

    @Test
    void aFormWithoutItsSelect() {
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        refused(visitor.post("/amps", Map.of("_csrf", form.get("_csrf"), "name", "Half a form")));
    }

    @ParameterizedTest
    @ValueSource(strings = {"/drawer/import", "/amps/1/iron/speaker", "/runs/1/csv"})
    void partsWithoutABoundary(String path) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(RunningApplication.url() + path))
                .header("Accept", "text/html")
                .header("Content-Type", "multipart/form-data")
                .POST(HttpRequest.BodyPublishers.ofString("abc"))
                .build();
        HttpResponse<String> answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
        refused(answer);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/theme", "/words"})
    void anOverlongWayBack(String path) {
        Map<String, String> form = visitor.form("/", path);
        refused(visitor.post(path, Map.of("_csrf", form.get("_csrf"), "back", "/" + "a".repeat(20_000))));
    }

    @ParameterizedTest
    @ValueSource(strings = {"{\"a\":", "{\"a\":\u0001}", "[[[[", "{\"a\":1,\"a\":2}", "\u0000"})
    void aBodyThatIsNoJsonSaysWhere(String body) {
        HttpResponse<String> answer = visitor.postJson("/api/match", body);
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body())
                .contains("The body is not valid JSON at line 1, column")
                .doesNotContain("Exception", "token");
    }

    /** Nothing of ours has seen these yet: the server itself answers. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /amps/%00 HTTP/1.1",
                "GET / HTTP/9.9",
                "G\u0001T / HTTP/1.1",
                "GET /%zz HTTP/1.1",
                "GET /drawer?q=%zz HTTP/1.1"
            })
    void whatIsNoRequestAtAll(String line) throws IOException {
        String answer = raw(line + "\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n");
        assertThat(answer).startsWith("HTTP/1.1 ").containsPattern("^HTTP/1.1 (4\\d\\d|505)");
        assertThat(answer).doesNotContain("Tomcat", "Apache", "<style");
        inWords(answer.substring(answer.indexOf("\r\n\r\n")));
    }

    private static String raw(String request) throws IOException {
        URI url = URI.create(RunningApplication.url());
        try (Socket socket = new Socket(url.getHost(), url.getPort())) {
            socket.setSoTimeout(5000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
