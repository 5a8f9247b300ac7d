package yellowrail.web.blind;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.run.RunArchive;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** A comparison by ear, from its settings to the target. */
@ExtendWith(RunningApplication.class)
class BlindPagesTest {

    private static final List<String> NAMES = List.of("coldish", "middling", "hottish");
    private static final List<String> LINES = List.of("V1 28mV V2 29mV", "V1 35mV V2 35mV", "V1 41mV V2 42mV");

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private long run;
    private String blind;

    private HttpResponse<String> post(String path, Map<String, String> fields) {
        Map<String, String> form = new HashMap<>(visitor.form("/runs/" + run + "/blind", "/runs/" + run + "/blind"));
        form.putAll(fields);
        return visitor.post(path, form);
    }

    private HttpResponse<String> begin(String kind, int settings) {
        Map<String, String> fields = new HashMap<>(Map.of("kind", kind));
        for (int i = 0; i < settings; i++) {
            fields.put("name" + i, NAMES.get(i));
            fields.put("line" + i, LINES.get(i));
        }
        return post("/runs/" + run + "/blind", fields);
    }

    @BeforeEach
    void aRun() {
        run = NewRun.of("6L6GC");
    }

    private void begun(String kind, int settings) {
        blind = Visitor.location(begin(kind, settings));
    }

    private String position() {
        return visitor.page(blind + "/set").select("input[name=position]").attr("value");
    }

    /** One step: set by one, heard by the other, who gives each setting what it deserves. */
    private void step(Map<String, Integer> deserves) {
        Document set = visitor.page(blind + "/set");
        String name = set.select(".letter").text();
        String at = position();
        assertThat(set.select(".letter + p").text()).isEqualTo(LINES.get(NAMES.indexOf(name)));
        assertThat(set.body().text()).as("no letter here").doesNotContainPattern("\\b[A-C]\\b.*Round");
        post(blind + "/set", Map.of("position", at));
        Document listen = visitor.page(blind + "/listen");
        assertThat(listen.select(".marks button")).hasSize(9);
        post(
                blind + "/listen",
                Map.of("position", at, "mark", deserves.get(name).toString(), "heard", "mark " + deserves.get(name)));
    }

    private void nothingIsGivenAway() {
        for (String page : List.of("/listen", "/listen/now")) {
            String answer = visitor.get(blind + page).body();
            assertThat(answer).doesNotContain(NAMES).doesNotContain("28mV", "35mV", "41mV", "setting");
        }
    }

    @Test
    void theListenerNeverSeesWhichItIs() {
        begun("marks", 3);
        for (int i = 0; i < 6; i++) {
            nothingIsGivenAway();
            post(blind + "/set", Map.of("position", position()));
            nothingIsGivenAway();
            post(blind + "/listen", Map.of("position", String.valueOf(i), "mark", "5"));
        }
        assertThat(visitor.page(blind).text())
                .contains("Whole rounds so far: 2")
                .doesNotContain(NAMES);
    }

    @Test
    void whatWasHeardIsOpenedWithItsChance() {
        begun("marks", 3);
        Map<String, Integer> deserves = Map.of("coldish", 3, "middling", 8, "hottish", 5);
        for (int i = 0; i < 4 * 3; i++) {
            step(deserves);
        }
        assertThat(post(blind + "/open", Map.of()).statusCode()).isEqualTo(302);
        Document opened = visitor.page(blind);

        // Four rounds of three, all alike: 1 in 216.
        assertThat(opened.select("#says").text()).contains("Hardly chance", "0.5 %");
        assertThat(opened.text()).contains("agree by 1.00");
        assertThat(opened.select("tr.here").text()).contains("middling", "8 8 8 8", "8.0", "mark 8");
        post(blind + "/listen", Map.of("position", "12", "mark", "1"));
        assertThat(visitor.page(blind).select("tr.here").text())
                .as("nothing is heard any more")
                .contains("8 8 8 8");
    }

    /** What is still blind is in no file. */
    @Test
    void whatWasOpenedGoesAlongInARunsFile() {
        begun("marks", 2);
        for (int i = 0; i < 4; i++) {
            step(Map.of("coldish", 3, "middling", 8));
        }
        RunArchive archive = RunningApplication.bean(RunArchive.class);
        assertThat(archive.write(run)).doesNotContain("coldish");
        post(blind + "/open", Map.of());
        String file = archive.write(run);
        assertThat(file).contains("coldish", "mark 8");

        long there = archive.read(file).runId();

        String opened = visitor.page("/runs/" + there + "/blind")
                .select("a[href^=/blind/]")
                .attr("href");
        assertThat(visitor.page(opened).select("tr.here").text()).contains("middling", "8 8", "8.0");
        assertThat(archive.read(file.replace("\"mark\" : 8", "\"mark\" : 11")).fault())
                .contains("damaged");
    }

    @Test
    void theChosenOneBecomesTheTargetByEar() {
        begun("marks", 3);
        for (int i = 0; i < 3; i++) {
            step(Map.of("coldish", 3, "middling", 8, "hottish", 5));
        }
        post(blind + "/take", Map.of("setting", "1"));
        assertThat(sheet().target().school()).as("still blind").isNotEqualTo(School.BY_EAR);
        post(blind + "/open", Map.of());
        assertThat(visitor.page(blind).select("#says").text()).contains("Too few rounds");
        post(blind + "/take", Map.of("setting", "1"));

        assertThat(sheet().target().school()).isEqualTo(School.BY_EAR);
        assertThat(sheet().target().low()).isEqualTo(0.0285);
        assertThat(sheet().target().aim()).isEqualTo(0.035);
        assertThat(sheet().target().high()).isEqualTo(0.0415);
    }

    private AmpSheet sheet() {
        RunService runs = RunningApplication.bean(RunService.class);
        return runs.amp(runs.run(run)).sheet();
    }

    @Test
    void twoAreToldApartOrNot() {
        begun("guesses", 2);
        for (int i = 0; i < 3 * 6; i++) {
            Document set = visitor.page(blind + "/set");
            String name = set.select(".letter").text();
            post(blind + "/set", Map.of("position", position()));
            nothingIsGivenAway();
            Document listen = visitor.page(blind + "/listen");
            String letter = listen.select(".letter").text();
            boolean unknown = letter.equals("X");
            assertThat(listen.select(".marks button")).hasSize(unknown ? 2 : 0);
            if (unknown) {
                String right = name.equals(names.get("A")) ? "A" : "B";
                post(blind + "/listen", Map.of("position", String.valueOf(i), "answer", right));
            } else {
                names.put(letter, name);
                post(blind + "/listen", Map.of("position", String.valueOf(i)));
            }
        }
        post(blind + "/open", Map.of());

        // Six of six: 1 in 64.
        assertThat(visitor.page(blind).select("#says").text()).contains("6 of 6 right", "1.6 %", "told apart");
    }

    private final Map<String, String> names = new HashMap<>();

    @Test
    void aTiredHandSpoilsNothing() {
        begun("marks", 2);
        post(blind + "/listen", Map.of("position", "0", "mark", "7"));
        assertThat(visitor.page(blind).text()).as("heard before it was set").contains("Whole rounds so far: 0");
        post(blind + "/set", Map.of("position", "0"));
        post(blind + "/set", Map.of("position", "0"));
        post(blind + "/listen", Map.of("position", "0", "mark", "12"));
        assertThat(visitor.page(blind + "/listen").select(".marks button"))
                .as("no mark")
                .hasSize(9);
        post(blind + "/listen", Map.of("position", "0", "mark", "7"));
        post(blind + "/listen", Map.of("position", "0", "mark", "2"));
        assertThat(visitor.page(blind + "/listen").select("#wait"))
                .as("sent twice")
                .hasSize(1);
        post(blind + "/open", Map.of());
        assertThat(visitor.page(blind).select("#says")).as("no whole round").isEmpty();
    }

    @Test
    void whatIsTypedWrongStandsWithItsFault() {
        assertThat(begin("marks", 1).statusCode()).isEqualTo(422);
        assertThat(begin("guesses", 3).body()).contains("2 to 2 settings");
        HttpResponse<String> wrong = post(
                "/runs/" + run + "/blind",
                Map.of("name0", "cold", "line0", "V9 30mV", "name1", "hot", "line1", "plate 450", "kind", "marks"));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("V9 30mV", "plate 450", "It has no current", "V9");
        assertThat(post("/runs/" + run + "/blind", Map.of("line0", "V1 30mV", "line1", "V1 30mV", "kind", "marks"))
                        .body())
                .contains("there is nothing to hear");
        assertThat(visitor.get("/blind/999999").statusCode()).isEqualTo(404);
    }

    @Test
    void theRunsOwnSettingsAreOffered() {
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        for (String line : List.of(
                "tick all", "V1 30mV V2 31mV; plate 450", "turn RANGE clockwise", "V1 38mV V2 39mV; plate 441")) {
            entries.enter(run, line, "", true);
        }
        Document begin = visitor.page("/runs/" + run + "/blind");

        assertThat(begin.select("#line0").attr("value")).isEqualTo("V1 30mV; V2 31mV");
        assertThat(begin.select("#line1").attr("value")).isEqualTo("V1 38mV; V2 39mV");
        assertThat(visitor.page("/runs/" + run + "?at=prove").select("#by-ear")).hasSize(1);
    }

    /** 450 V at 80 mA are 36 W of the 30 that a 6L6GC may have. */
    @Test
    void noSettingGoesOverTheRating() {
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        entries.enter(run, "tick all", "", true);
        entries.enter(run, "V1 30mV V2 31mV; plate 450", "", true);

        HttpResponse<String> hot = post(
                "/runs/" + run + "/blind", Map.of("line0", "V1 30mV", "line1", "V1 80mV V2 78mV", "kind", "marks"));

        assertThat(hot.statusCode()).isEqualTo(422);
        assertThat(hot.body()).contains("V1 would stand at 1", "V1 80mV V2 78mV");
    }
}
