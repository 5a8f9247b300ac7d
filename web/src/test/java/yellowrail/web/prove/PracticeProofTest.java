package yellowrail.web.prove;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Percentage;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The practice amp proven, as one learns it: tones into it, steps in level and in frequency, another bias, again. */
@ExtendWith(RunningApplication.class)
class PracticeProofTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private String run;

    @BeforeEach
    void aWarmPracticeAmp() {
        Map<String, String> form = new HashMap<>(visitor.form("/practice", "/practice"));
        form.putAll(Map.of("exercise", "0", "seed", "5"));
        run = Visitor.location(visitor.post("/practice", form));
        post("/ticks/closed", Map.of("ticked", "true"));
        post("/practice/power", Map.of());
        post("/practice/wait", Map.of("minutes", "10"));
    }

    private HttpResponse<String> post(String path, Map<String, String> fields) {
        Map<String, String> form = new HashMap<>(visitor.form("/practice", "/practice"));
        form.putAll(fields);
        return visitor.post(run + path, form);
    }

    private void set(String position) {
        post("/practice/turn", Map.of("pot", "0", "position", position));
        for (String probe : List.of("mains", "V1", "V2", "plate", "screen")) {
            post("/practice/probe", Map.of("probe", probe));
        }
    }

    private HttpResponse<String> play(String signal) {
        return post("/proof/practice", Map.of("signal", signal));
    }

    private Document page() {
        return visitor.page(run + "/proof");
    }

    private static Element row(Document page, String question) {
        return page.select(".side-by-side tbody tr").stream()
                .filter(row -> row.select("th").text().startsWith(question))
                .findFirst()
                .orElseThrow();
    }

    /** The number a cell begins with. */
    private static double number(Element row, int column) {
        return Double.parseDouble(row.select("td").get(column).text().split(" ")[0]);
    }

    @Test
    void steppedLevelsOfTwoSettingsStandBesideTheLoadLine() {
        for (String position : List.of("35", "47")) {
            set(position);
            assertThat(play("shape=LEVELS&hertz=1000&level=-20&toLevel=-5&steps=30&seconds=0.6&rate=48000")
                            .statusCode())
                    .isEqualTo(302);
        }
        Document page = page();

        assertThat(page.select(".side-by-side thead th")).hasSize(2);
        Element full = row(page, "Full power");
        Element computed = row(page, "The load line has");
        for (int column : new int[] {0, 1}) {
            assertThat(number(full, column))
                    .as("the steps against the load line, column " + column)
                    .isCloseTo(number(computed, column), Percentage.withPercentage(10));
        }
        assertThat(page.select(".curves path.measured")).hasSize(2);
        assertThat(page.select(".curves path.computed")).hasSize(2);
        assertThat(page.text()).contains("30 steps in level, each measured by itself", "as the load line has it");
    }

    @Test
    void steppedFrequenciesTellWhereTheBandEnds() {
        set("40");
        play("shape=FREQUENCIES&hertz=20&to=20000&level=-20&steps=24&seconds=1&rate=48000");
        Document page = page();

        // One pole at 12 Hz: 1 dB down at 23.6 Hz.
        assertThat(number(row(page, "Lower end of the band, -1 dB"), 0)).isCloseTo(23.6, Percentage.withPercentage(4));
        assertThat(page.select("figure b").eachText()).contains("THD against frequency", "Level against frequency");
    }

    @Test
    void theMeterAtTheLoadTellsWhatTheCardHears() {
        set("40");
        play("shape=SINE&hertz=1000&level=-20&seconds=3&rate=48000");

        String text = page().text();
        assertThat(text).contains("into 8 ohm");
        double scale = Double.parseDouble(text.replaceAll(".*Full scale of the card is ([0-9.]+) V.*", "$1"));
        assertThat(scale).isCloseTo(60, Percentage.withPercentage(0.3));
    }

    @Test
    void aToneThatCannotBeIsRefusedAndOnlyPracticeAmpsPlay() {
        HttpResponse<String> refused = play("shape=SINE&hertz=90000&level=-20&seconds=3&rate=48000");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(play("").statusCode()).as("the usual tone").isEqualTo(302);
        run = "/runs/" + NewRun.of("EL34");
        assertThat(play("shape=SINE").statusCode()).isEqualTo(422);
        assertThat(page().select("#play-practice")).isEmpty();
    }

    @Test
    void theTonesPageOffersTheAmpOfTheRun() {
        Document tones = visitor.page(page().select("#play-practice").attr("href"));

        assertThat(tones.select("#practice").attr("value")).contains("shape=SINE");
        assertThat(tones.select("form#play").attr("action")).isEqualTo(run + "/proof/practice");
        assertThat(visitor.page("/signal").select("#practice")).isEmpty();
    }
}
