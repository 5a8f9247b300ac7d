package yellowrail.web.amp;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Thorough;
import yellowrail.core.amp.Socket;
import yellowrail.web.Nonsense;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** Every field of every form, filled by a tired person. */
@ExtendWith(RunningApplication.class)
class BadInputTest {

    private static final List<String> TIRED = List.of(
            "",
            "abc",
            "-3",
            "0",
            "NaN",
            "1e309",
            "1e9",
            "38,2",
            "38.2 parsec",
            "5V ohm",
            "9".repeat(10_000),
            "<script>alert(1)</script>",
            "\uD83D\uDE00\uD83D\uDE00",
            "a\u0000b",
            "' OR 1=1 --",
            "${7*7}",
            "[[${7*7}]]");

    private final Visitor visitor = new Visitor(RunningApplication.url());

    static Stream<Map.Entry<String, String>> forms() {
        return Stream.of(Map.entry("/amps/new", "/amps"), Map.entry("/tubes/own?from=EL34", "/tubes/own"));
    }

    private static String field(String html, String name) {
        int at = html.indexOf("id=\"" + name + "\"");
        return html.substring(Math.max(0, at - 200), Math.min(html.length(), at + 11_000));
    }

    @ParameterizedTest
    @MethodSource("forms")
    void noFieldEverBreaksAForm(Map.Entry<String, String> form) {
        Map<String, String> good = visitor.form(form.getKey(), form.getValue());
        good.put("name", "Bog fern");
        assertThat(good).hasSizeGreaterThan(12);
        List<String> names = List.copyOf(good.keySet());
        int every = Thorough.of(1, 9);
        IntStream.range(0, names.size() * TIRED.size())
                .filter(i -> i % every == 0)
                .parallel()
                .forEach(i ->
                        neverBreaks(form.getValue(), good, names.get(i / TIRED.size()), TIRED.get(i % TIRED.size())));
    }

    private void neverBreaks(String action, Map<String, String> good, String field, String typed) {
        Map<String, String> fields = new HashMap<>(good);
        fields.put(field, typed);
        HttpResponse<String> response = visitor.post(action, fields);
        assertThat(response.statusCode()).as("%s = %.40s", field, typed).isIn(302, 400, 403, 409, 422);
        assertThat(response.body())
                .as("%s = %.40s", field, typed)
                .doesNotContain("<script>alert(1)")
                .doesNotContain("Exception")
                .doesNotContain(">49<");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "name | '' | Type a name for the amp",
                "current.ohms | abc | is not a number",
                "current.ohms | -1 | out of range; from 0.01 to 100000 ohm",
                "current.ohms | 0 | out of range",
                "current.ohms | '' | the resistance is needed",
                "current.ohms | 38V | where ohms is wanted",
                "meter.mainsVolts | 1196 | out of range; from 80 to 280 V",
                "meter.digits | 2 V | Type a plain number",
                "target.aim | 90 | the aim lies between",
                "target.high | 120 | out of range; from 0 to 100 %",
                "stage.tubeType | 12AX7 | is not in the catalogue",
                "sockets[1].label | V1 | is used twice",
                "sockets[0].label | mV | means something else",
                "sockets[0].label | 1st | begin with a letter",
                "sockets[0].side | SINGLE | a tube is push or pull",
                "sockets[0].testPoint | V2 | is a socket that reads elsewhere",
                "stage.ratingSystem | ABSOLUTE | has no absolute rating",
                "current.shows | WATT | shows mV, V or mA",
                "stage.bias | X | is not one of the choices"
            })
    void saysBesideTheFieldWhatIsWrongAndKeepsWhatWasTyped(String name, String typed, String message) {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.put("name", "Bog fern");
        fields.put("meter.settleMinutes", "12");
        fields.put(name, typed);
        if (name.equals("sockets[0].testPoint")) {
            fields.put("sockets[1].testPoint", "TP");
        }
        HttpResponse<String> response = visitor.post("/amps", fields);
        assertThat(response.statusCode()).isEqualTo(422);
        String near = field(response.body(), name);
        assertThat(near).contains(message);
        assertThat(response.body()).contains("value=\"12\"");
    }

    @Test
    void tellsAllFaultsAtOnce() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.putAll(Map.of("current.ohms", "x", "meter.percent", "y", "target.low", "z"));
        assertThat(visitor.post("/amps", fields).body()).contains("<span>4</span> marked below");
    }

    @Test
    void aDecimalCommaIsADecimalPoint() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.putAll(Map.of("name", "Comma fern", "current.ohms", "12,4"));
        HttpResponse<String> saved = visitor.post("/amps", fields);
        assertThat(saved.statusCode()).isEqualTo(302);
        assertThat(visitor.get(Visitor.location(saved)).body()).contains("12.4 ohm");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/amps/999999",
                "/amps/0",
                "/amps/-1",
                "/amps/abc",
                "/amps/99999999999999999999",
                "/runs/999999",
                "/runs/x/log",
                "/amps/999999/edit",
                "/amps/999999/run",
                "/nothing/here",
                "/runs/999999/tubes/V1"
            })
    void unknownAddressesAreAnsweredInOurLook(String path) {
        HttpResponse<String> response = visitor.get(path);
        assertThat(response.statusCode()).isEqualTo(404);
        assertThat(response.body())
                .contains("There is nothing at this address")
                .contains("class=\"rail")
                .doesNotContain("Exception");
    }

    @Test
    void aFormWithoutItsTokenIsNotTaken() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.put("_csrf", "made up");
        HttpResponse<String> response = visitor.post("/amps", fields);
        assertThat(response.statusCode()).isEqualTo(403);
        assertThat(response.body()).contains("had grown old");
    }

    @Test
    void aTestPointThatWasNotNamedIsCalledAsItsSocket() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.put("name", "Called otherwise");
        fields.put("sockets[0].label", "L5");
        String amp = Visitor.location(visitor.post("/amps", fields));
        assertThat(RunningApplication.bean(AmpService.class)
                        .newest(Long.parseLong(amp.replaceAll("\\D", "")))
                        .sheet()
                        .sockets())
                .extracting(Socket::testPoint)
                .containsExactly("L5", "V2");
    }

    @Test
    void theSecondOfTwoEditorsIsToldAndLosesNothing() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.put("name", "Twice edited");
        String amp = Visitor.location(visitor.post("/amps", fields));
        Map<String, String> mine = visitor.form(amp + "/edit", amp);
        Map<String, String> theirs = new HashMap<>(mine);
        theirs.put("quirks", "theirs: buzzes when cold");
        mine.put("notes", "mine: new reservoir");
        mine.put("sockets[1].testPoint", "TP2");
        assertThat(visitor.post(amp, theirs).statusCode()).isEqualTo(302);
        HttpResponse<String> second = visitor.post(amp, mine);
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body())
                .contains("Somebody saved this sheet")
                .contains("theirs: buzzes when cold")
                .contains(">mine: new reservoir</textarea>")
                .contains("<th scope=\"row\">Socket 2: Test point</th><td></td><td>TP2</td>")
                .doesNotContain("<th scope=\"row\">Current is read by");
        mine.put("version", "2");
        assertThat(visitor.post(amp, mine).statusCode()).isEqualTo(302);
    }

    @Test
    void whatIsKeptAgainstAllSenseNeverBreaksAPage() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.put("name", "Against all sense");
        String amp = Visitor.location(visitor.post("/amps", fields));
        String run = Visitor.location(visitor.post(amp + "/runs", Map.of("_csrf", fields.get("_csrf"))));
        visitor.post(run + "/readings", Map.of("_csrf", fields.get("_csrf"), "line", "tick closed"));
        for (String line : List.of(
                        "V1 36",
                        "plate 450",
                        "V1 rk off 1",
                        "V1 -1e9",
                        "V1 1e9",
                        "V1 0",
                        "plate 0",
                        "plate 1",
                        "plate -4",
                        "plate 1e9",
                        "vk 1e6",
                        "vk -1",
                        "screen 1e9",
                        "V1 ig2 1e6mA",
                        "mains 0",
                        "bias 1e9",
                        "on 1440",
                        "plate 450",
                        "V2 1e-9",
                        "V1 36 V2 1e9 plate 452",
                        "V1 36 V2 36 plate 452 bias -40",
                        "V1 1e9 V2 1 plate 1e9",
                        "heater 1e9",
                        "swing a V1 1e9 V2 0",
                        "swing b V1 0 V2 0",
                        "mains 1e9",
                        "V1 36 V2 36 plate 452")
                .subList(Thorough.of(0, 20), 27)) {
            HttpResponse<String> kept = visitor.post(
                    run + "/readings", Map.of("_csrf", fields.get("_csrf"), "line", line, "confirmed", "true"));
            assertThat(kept.statusCode()).as(line).isEqualTo(302);
            for (String page : List.of(
                    run,
                    run + "?at=measure",
                    run + "?at=set&span=nonsense",
                    run + "?at=power-up",
                    run + "/compare",
                    run + "/tubes/V1",
                    "/",
                    amp)) {
                HttpResponse<String> shown = visitor.get(page);
                assertThat(shown.statusCode()).as("%s after %s", page, line).isEqualTo(200);
                assertThat(Nonsense.in(shown.body()))
                        .as("%s after %s", page, line)
                        .isEmpty();
            }
        }
    }

    @Test
    void theEntryLineAnswersEverything() {
        Map<String, String> fields = visitor.form("/amps/new", "/amps");
        fields.put("name", "Line fern");
        String amp = Visitor.location(visitor.post("/amps", fields));
        String run = Visitor.location(visitor.post(amp + "/runs", Map.of("_csrf", fields.get("_csrf"))));
        for (String typed : TIRED) {
            HttpResponse<String> response =
                    visitor.post(run + "/readings", Map.of("_csrf", fields.get("_csrf"), "line", typed, "by", typed));
            assertThat(response.statusCode()).as("%.40s", typed).isEqualTo(422);
            assertThat(response.body()).contains("class=\"fault\"").doesNotContain("<script>alert(1)");
        }
        assertThat(visitor.get(run).body()).contains("Empty. Type on when");
    }

    /**
     * Every field with a unit at once: each has its fault beside it, with what is allowed, and what was typed stands.
     */
    @ParameterizedTest
    @CsvSource({
        "/amps/new, /amps, abc, 40",
        "/amps/new, /amps, 1e9, 40",
        "/tubes/own?from=EL34, /tubes/own, abc, 9",
        "/tubes/own?from=EL34, /tubes/own, -1e9, 9"
    })
    void allFaultsAreToldAtOnceEachBesideItsField(String page, String action, String typed, int fields) {
        Document form = Jsoup.parse(visitor.get(page).body());
        List<String> measured =
                form.select(".input-group:has(.input-group-text) input").eachAttr("name");
        assertThat(measured).hasSizeGreaterThan(fields).doesNotHaveDuplicates();
        Map<String, String> filled = new HashMap<>(visitor.form(page, action));
        measured.forEach(name -> filled.put(name, typed));
        HttpResponse<String> response = visitor.post(action, filled);
        assertThat(response.statusCode()).isEqualTo(422);
        Document answer = Jsoup.parse(response.body());
        for (String name : measured) {
            Element input = answer.getElementById(name);
            assertThat(input.attr("value")).as(name).isEqualTo(typed);
            assertThat(input.attr("aria-invalid")).as(name).isEqualTo("true");
            assertThat(answer.getElementById(input.attr("aria-describedby")).text())
                    .as(name)
                    .containsPattern("from -?\\d|such as \\d|write \\d");
        }
    }
}
