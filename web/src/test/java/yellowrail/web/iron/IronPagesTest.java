package yellowrail.web.iron;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class IronPagesTest {

    private static final String READINGS = "P1-P2+67.2%3BB%2B-P1+33.6%3BB%2B-P2+29%3BB%2B-S1+14.4%3B0-8+2.4";

    private static String amp;

    private final Visitor visitor = new Visitor(RunningApplication.url());

    @BeforeAll
    static void anAmpWithItsIron() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Marsh cinquefoil");
        form.put("stage.tubeType", "6L6GC");
        form.put("stage.ratingSystem", "DESIGN_MAXIMUM");
        form.put("fittings.load", "6.6k");
        form.put("fittings.taps", "4 8 16");
        form.put("fittings.hookups", "16; 8||8; 16@16");
        form.put("fittings.copper", "180");
        form.put("fittings.screenVolts", "430");
        amp = Visitor.location(visitor.post("/amps", form));
    }

    private static String body(HttpResponse<String> response, int status) {
        assertThat(response.statusCode()).as(response.body()).isEqualTo(status);
        return response.body().replace("&#39;", "'").replace("&quot;", "\"");
    }

    /** 6.6 k on 8 ohm: 16 ohm makes 13.2 k, two 8 in parallel 3.3 k, 16 on its own tap 6.6 k. */
    @Test
    void everyTapAgainstEverySpeaker() {
        Document page = visitor.page(amp + "/iron");
        assertThat(page.text()).contains("Primary 6.60 k", "open: stop", "Not known, taken: plates at");
        assertThat(loads(page, "16yours")).containsExactly("26.4 k beyond 2:1, light", "13.2 k light", "6.6 k matched");
        assertThat(loads(page, "8 || 8")).containsExactly("6.6 k matched", "3.3 k heavy", "1.7 k beyond 2:1, heavy");
        assertThat(page.select("tr:contains(16 on the 16 ohm tap) td").hasClass("matched"))
                .isTrue();
    }

    /** What a speaker makes of each tap. */
    private static List<String> loads(Document page, String speaker) {
        return page.select("table tr:has(td)").stream()
                .filter(row -> row.text().startsWith(speaker))
                .flatMap(row -> row.select("td").stream())
                .map(cell -> cell.select("a").text() + " " + cell.select("b").text())
                .toList();
    }

    /** Sides 10 % apart: a toroid that stands 1 mA does not bear it; nobody's core is told both customs. */
    @Test
    void whatTheCoreStandsIsASettingOfTheSheet() {
        String unbalanced = amp + "/load-line?idle=40&apart=10";
        assertThat(visitor.page(unbalanced).text()).contains("an EI core stands 5 to 10 %");
        Map<String, String> form = new HashMap<>(visitor.form(amp + "/edit", amp));
        form.put("fittings.coreKind", "TOROID");
        form.put("fittings.coreMilliamps", "1");
        form.put("fittings.corePercent", "lots");
        assertThat(body(visitor.post(amp, form), 422)).contains("lots");
        form.put("fittings.corePercent", "");
        assertThat(visitor.post(amp, form).statusCode()).isEqualTo(302);
        assertThat(visitor.page(unbalanced).text())
                .contains("left in the core, which stands 1.0 mA (toroid)")
                .doesNotContain("an EI core stands");
        assertThat(visitor.form(amp + "/edit", amp)).containsEntry("fittings.coreKind", "TOROID");
        form.putAll(visitor.form(amp + "/edit", amp));
        form.put("fittings.coreKind", "UNKNOWN");
        form.put("fittings.coreMilliamps", "");
        visitor.post(amp, form);
    }

    @Test
    void aMeasuredRatioIsFoundAndWrittenOnTheSheet() {
        String page = body(visitor.get(amp + "/iron?readings=" + READINGS), 200);
        assertThat(page)
                .contains(
                        "<b>28.00</b>",
                        "784 : 1",
                        "6.27 k",
                        "Screens\u2019 tap at 42.9 % of the half primary",
                        "steps up 28.0 times",
                        "B+-P2 was read as 29.00 V where the other readings make 33.60 V",
                        "shorted turns in one of them",
                        "Put on the sheet: 6.27 k with 8 ohm");
        assertThat(visitor.post(
                                amp + "/iron/sheet",
                                Map.of(
                                        "_csrf",
                                        visitor.form(amp + "/iron?readings=" + READINGS, amp + "/iron/sheet")
                                                .get("_csrf"),
                                        "load",
                                        "6600",
                                        "taps",
                                        "4 8 16"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(body(visitor.get(amp + "/edit"), 200)).contains("value=\"6.6\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "readings=P1-P2+240+ohm%3B0-8+0.4+ohm | Resistances alone never yield a ratio | 200",
                "readings=P1-P2+67.2 | A ratio takes another | 200",
                "readings=B%2B-P1+33.6%3B0-8+2.4 | read from plate end to plate end too | 200",
                "readings=P1-P2+67.2%3BB%2B-P2+67.2%3B0-8+2.4 | may lie on either side | 200",
                "readings=P1-P2+67.2%3BS1-P2+33.6%3B0-8+2.4 | by its volts it is centre tap | 200",
                "readings=lots | lots | 422",
                "readings=P1-P1+3 | Both ends of the meter are on P1 | 422",
                "readings=P1-P2+-3 | from 0 to 1000 V | 422",
                "pair=P1&value=3 | is no pair of leads | 422",
                "pair=P1-P2&value=lots | cannot be read | 422",
                "sourceAt=8 | is no pair of leads | 422",
                "source=20&sourceAt=0-8 | the far side would carry | 200",
                "source=0.5&sourceAt=0-8 | at the far side, before anything is read | 200"
            })
    void whatATiredPersonTypesOnTheRatioBench(String query, String message, int status) {
        assertThat(body(visitor.get(amp + "/iron?" + query), status)).contains(message);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "load=0 | is out of range; from 0.2 to 100 k",
                "load=open | open",
                "idle=1900 | Even with 0 V on its grid this tube carries only",
                "idle=0 | is out of range",
                "type=KT77 | There is no model of this type",
                "plates=20000 | out of range",
                "perSide=9 | Type a plain number, from 1 to 4",
                "connection=HALF | is not one of the choices",
                "connection=ULTRALINEAR&tap=0 | out of range; from 1 to 99 %"
            })
    void whatATiredPersonTypesOnTheLoadLine(String query, String message) {
        assertThat(body(visitor.get(amp + "/load-line?" + query), 422)).contains(message);
        assertThat(body(visitor.get(amp + "/load-line/drawn?" + query), 422)).contains(message);
        assertThat(visitor.get(amp + "/load-line.cir?" + query).statusCode()).isEqualTo(422);
    }

    @Test
    void aStageIsKeptTakenAwayAndDropped() {
        String query = "load=8&idle=40&plates=430&screens=420";
        assertThat(body(visitor.get(amp + "/load-line.cir?" + query), 200))
                .startsWith("* Marsh cinquefoil, 6L6GC")
                .contains(".four 1000 v(out)");
        assertThat(body(visitor.get(amp + "/plate-curves.csv?" + query), 200)
                        .lines()
                        .count())
                .isGreaterThan(300);
        assertThat(body(visitor.get(amp + "/load-sweep.csv?" + query), 200).lines())
                .hasSize(61)
                .first()
                .asString()
                .startsWith("load_ohm,power_w,thd_percent");
        assertThat(body(visitor.get(amp + "/idle-sweep.csv?" + query), 200)).startsWith("idle_plate_ma");
        Map<String, String> fields = new HashMap<>(visitor.form(amp + "/load-line?" + query, amp + "/load-line/kept"));
        String kept = Visitor.location(visitor.post(amp + "/load-line/kept", fields));
        String page = body(visitor.get(kept), 200);
        assertThat(page).contains("1 \u00d7 6L6GC, 430 V", "8.0 k");
        String drop = page.replaceAll("(?s).*action=\"(" + amp + "/load-line/kept/\\d+/drop)\".*", "$1");
        assertThat(visitor.post(drop, fields).statusCode()).isEqualTo(302);
        assertThat(body(visitor.get(amp + "/load-line"), 200)).contains("Nothing kept yet");
        for (int i = 0; i < IronService.MOST_KEPT; i++) {
            visitor.post(amp + "/load-line/kept", fields);
        }
        assertThat(body(visitor.post(amp + "/load-line/kept", fields), 409)).contains("12 settings are kept already");
    }

    private String speaker(String text, int status) {
        return body(
                visitor.upload(amp + "/iron/speaker", amp + "/iron", "box.zma", text, Map.of("nominal", "8")), status);
    }

    @Test
    void aMeasuredSpeakerFile() {
        assertThat(speaker("20 9 30\n62 44 0\n200 8 -20\n400 7.2 0\n5000 16 40\n20000 38 55\n", 200))
                .contains(
                        "resonance, 6",
                        "least, 4",
                        "5 kHz, 5000 Hz: 16.0 ohm at +40\u00b0",
                        "Nothing was measured between 62 Hz and 200 Hz",
                        "/load-line?lines=6");
        assertThat(speaker("8 20\n9 40\n8.5 80\n7 160\n", 422)).contains("the columns look swapped");
        assertThat(speaker("hello\n", 422)).contains("No lines with a frequency and ohms");
        String many = IntStream.range(0, 100_000)
                .mapToObj(i -> "%.4f %.3f 5".formatted(20 * Math.pow(1000, i / 100_000.0), 8 + Math.sin(i / 9000.0)))
                .collect(Collectors.joining("\n"));
        assertThat(speaker(many, 200)).contains("100,000 points, thinned out to 1");
        assertThat(speaker(many.repeat(6), 413)).as("a page of ours").contains("Yellow Rail");
    }

    @Test
    void aSpeakerByItsParametersAndItsFaults() {
        Map<String, String> typed = new HashMap<>(Map.of(
                "_csrf",
                visitor.form(amp + "/iron", amp + "/iron/speaker").getOrDefault("_csrf", ""),
                "nominal",
                "8",
                "re",
                "6.3",
                "fs",
                "80",
                "qms",
                "4",
                "qes",
                "0.7",
                "le",
                "0.6"));
        typed.put("exponent", "0.65");
        assertThat(body(visitor.post(amp + "/iron/speaker", typed), 200)).contains("resonance, 80 Hz: 42.7 ohm");
        typed.put("re", "0");
        typed.put("exponent", "2");
        assertThat(body(visitor.post(amp + "/iron/speaker", typed), 422))
                .contains("is out of range; from 0.5 to 100 ohm", "Type a plain number, from 0.3 to 1", "value=\"80\"");
    }

    @Test
    void aTypeWithoutModelIsSaid() {
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Fen sedge");
        form.put("stage.tubeType", "KT77");
        form.put("stage.ratingSystem", "DESIGN_CENTRE");
        String other = Visitor.location(visitor.post("/amps", form));
        assertThat(body(visitor.get(other + "/load-line"), 200)).contains("No points of KT77 are published here");
        assertThat(body(visitor.get(other + "/iron"), 200)).contains("No points of KT77");
    }
}
