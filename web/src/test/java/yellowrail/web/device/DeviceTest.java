package yellowrail.web.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocket;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.network.Trust;

/** What a device of the house gets to see, before and after it was let in. */
@ExtendWith(RunningApplication.class)
class DeviceTest {

    private static SSLContext trust;
    private final JdbcTemplate rows = RunningApplication.bean(JdbcTemplate.class);
    private Visitor phone;

    @BeforeEach
    void aPhone() throws Exception {
        trust = trust == null ? Trust.inOurs() : trust;
        phone = new Visitor(RunningApplication.lanUrl(), trust);
    }

    private static String code() {
        return new Visitor(RunningApplication.url())
                .page("/devices")
                .select(".one-time")
                .text();
    }

    private HttpResponse<String> tell(String code, String name) {
        Map<String, String> form = new HashMap<>(phone.form("/device", "/device"));
        form.put("code", code);
        form.put("name", name);
        return phone.post("/device", form);
    }

    private long letIn(String name) {
        HttpResponse<String> answer = tell(code(), name);
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(Visitor.location(answer)).isEqualTo("/");
        return rows.queryForObject("SELECT max(id) FROM device WHERE name = ?", Long.class, name);
    }

    /** Whether it was refused: by a page in its place, or in words. */
    private static boolean isRefused(HttpResponse<String> answer) {
        return isLed(answer) || answer.statusCode() == 401 || answer.statusCode() == 403;
    }

    private static boolean isLed(HttpResponse<String> answer) {
        return answer.statusCode() == 302 && Visitor.location(answer).equals("/device");
    }

    @Test
    void whoeverWasNotLetInGetsNothingButThePageThatAsksForTheCode() {
        Set<String> open = new TreeSet<>();
        RunningApplication.bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()
                .forEach(route -> route.getPatternValues().forEach(pattern -> {
                    String path = pattern.replaceAll("\\{[^/]*\\}", "1");
                    HttpResponse<String> got = phone.get(path);
                    HttpResponse<String> posted =
                            path.startsWith("/api/") ? phone.postJson(path, "{}") : phone.post(path, Map.of());
                    if (!isLed(got) || !isRefused(posted)) {
                        open.add(pattern + " " + got.statusCode() + " " + posted.statusCode());
                    }
                }));
        assertThat(open).containsExactly("/device 200 403");
        for (String path : List.of("/actuator/health", "/v3/api-docs", "/rail.svg", "/js/keys.js", "/no-such")) {
            assertThat(Visitor.location(phone.get(path))).as(path).isEqualTo("/device");
        }
        assertThat(phone.postJson("/api/idle", "{}").statusCode()).isEqualTo(401);
        assertThat(phone.postJson("/api/idle", "{}").body()).contains("This device is not let in");
        assertThat(phone.page("/device").select("link[rel=stylesheet], link[rel=manifest], script[src]"))
                .hasSize(4)
                .allSatisfy(file -> assertThat(
                                phone.get(file.attr("href") + file.attr("src")).statusCode())
                        .isEqualTo(200));
    }

    @Test
    void aDeviceThatTellsTheCodeIsServedUntilItIsSentAway() {
        String code = code();
        long id = letIn("Bench phone");
        assertThat(code()).as("good once").isNotEqualTo(code);
        HttpResponse<String> bench = phone.get("/");
        assertThat(bench.statusCode()).isEqualTo(200);
        assertThat(bench.headers().allValues("Set-Cookie")).noneMatch(cookie -> cookie.contains("JSESSIONID"));
        assertThat(bench.headers().firstValue("Strict-Transport-Security")).isEmpty();
        assertThat(phone.page("/device").text()).contains("let in as Bench phone, until");
        assertThat(Visitor.location(phone.get("/devices"))).isEqualTo("/device");
        assertThat(phone.get("/devices/now").statusCode()).isEqualTo(403);

        Visitor machine = new Visitor(RunningApplication.url());
        assertThat(machine.page("/devices").text()).contains("Bench phone");
        assertThat(machine.get("/keeping/everything.json").body()).doesNotContain("Bench phone");
        machine.post("/devices/" + id + "/away", machine.form("/devices", "/devices/" + id + "/away"));
        assertThat(Visitor.location(phone.get("/"))).as("at once").isEqualTo("/device");
        assertThat(phone.postJson("/api/idle", "{}").statusCode()).isEqualTo(401);
        assertThat(machine.page("/devices").text()).doesNotContain("Bench phone");
    }

    @Test
    void aDeviceIsGoodForThirtyDaysAndOnlyTheSumOfItsTokenIsStored() {
        long id = letIn("Pocket");
        assertThat(rows.queryForObject(
                        "SELECT good_until - let_in_at = interval '30 days' FROM device WHERE id = ?",
                        Boolean.class,
                        id))
                .isTrue();
        assertThat(rows.queryForObject("SELECT length(token_sum) FROM device WHERE id = ?", Integer.class, id))
                .isEqualTo(32);
        rows.update("UPDATE device SET good_until = let_in_at WHERE id = ?", id);
        assertThat(Visitor.location(phone.get("/"))).isEqualTo("/device");
        letIn("Pocket again");
        assertThat(rows.queryForObject("SELECT count(*) FROM device WHERE id = ?", Integer.class, id))
                .as("forgotten")
                .isZero();
        phone.post("/device/leave", phone.form("/device", "/device/leave"));
        assertThat(Visitor.location(phone.get("/"))).isEqualTo("/device");
    }

    @Test
    void whatIsWrongIsToldBesideWhatWasTyped() {
        HttpResponse<String> wrong = tell("AAAA-AAAA", "Reading lamp");
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("That is not the code.", "AAAA-AAAA", "Reading lamp");
        assertThat(tell(code(), "x".repeat(41)).body()).contains("A name has at most 40 characters.");
        assertThat(tell(code(), " ").statusCode()).as("a name is not needed").isEqualTo(302);
    }

    @ParameterizedTest
    @CsvSource({
        "evil.example,400",
        "192.168.77.1,400",
        "yellow-rail.local,200",
        "YELLOW-RAIL.LOCAL,200",
        "127.0.0.2,200"
    })
    void onlyOurOwnNamesAreAnswered(String host, int status) throws IOException {
        assertThat(raw("GET /device HTTP/1.1", "Host: " + host)).startsWith("HTTP/1.1 " + status);
    }

    @ParameterizedTest
    @ValueSource(strings = {"https://evil.example", "http://127.0.0.2", "null"})
    void anotherOriginIsRefusedAlsoOnThePageThatAsksForTheCode(String origin) throws IOException {
        assertThat(raw("POST /device HTTP/1.1", "Host: 127.0.0.2", "Origin: " + origin, "Content-Length: 0"))
                .startsWith("HTTP/1.1 403");
    }

    private static String raw(String... lines) throws IOException {
        String[] place = RunningApplication.lanUrl().replace("https://", "").split(":");
        try (SSLSocket socket =
                (SSLSocket) trust.getSocketFactory().createSocket(place[0], Integer.parseInt(place[1]))) {
            socket.getOutputStream()
                    .write((String.join("\r\n", lines) + "\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.UTF_8));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void atTheMachineNobodyIsAsked() {
        Visitor machine = new Visitor(RunningApplication.url());
        assertThat(machine.get("/").statusCode()).isEqualTo(200);
        assertThat(Visitor.location(machine.get("/device"))).isEqualTo("/devices");
    }
}
