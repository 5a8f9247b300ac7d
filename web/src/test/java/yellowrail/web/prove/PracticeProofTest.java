package yellowrail.web.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Percentage;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.NewRun;
import yellowrail.web.PracticeRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The practice amp proven, as one learns it: tones into it, steps in level and in frequency, another bias, again. */
@ExtendWith(RunningApplication.class)
class PracticeProofTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private PracticeRun amp;

    @BeforeEach
    void aWarmPracticeAmp() {
        amp = PracticeRun.warm(visitor);
    }

    private HttpResponse<String> play(String signal) {
        return amp.post("/proof/practice", Map.of("signal", signal));
    }

    private Document page() {
        return visitor.page(amp.path() + "/proof");
    }

    private static Element row(Document page, String question) {
        return page.select(".side-by-side tbody tr").stream()
                .filter(row -> row.select("th").text().startsWith(question))
                .findFirst()
                .orElseThrow();
    }

    /** The number a cell begins with. */
    private static double number(Element row, int column) {
        return number(row.select("td").get(column).text());
    }

    /** What follows its ±. */
    private static double spread(Element row, int column) {
        return number(row.select("td").get(column).text().split("± ")[1]);
    }

    private static double number(String text) {
        return Double.parseDouble(text.split(" ")[0]);
    }

    @Test
    void steppedLevelsOfTwoSettingsStandBesideTheLoadLine() {
        for (String position : List.of("35", "47")) {
            amp.set(position);
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
                    .isCloseTo(number(computed, column), within(spread(computed, column)));
        }
        assertThat(row(page, "The load line has").text()).contains("The same harmonic leads there");
        assertThat(number(row(page, "3rd harmonic, where it clips"), 1))
                .isGreaterThan(number(row(page, "2nd harmonic, where it clips"), 1));
        assertThat(page.select(".curves path.measured")).hasSize(2);
        assertThat(page.select(".curves path.computed")).hasSize(2);
        assertThat(page.text()).contains("30 steps in level, each measured by itself", "as the load line has it");
    }

    @Test
    void steppedFrequenciesTellWhereTheBandEnds() {
        amp.set("40");
        play("shape=FREQUENCIES&hertz=20&to=20000&level=-20&steps=24&seconds=1&rate=48000");
        Document page = page();

        // One pole at 12 Hz: 1 dB down at 23.6 Hz.
        assertThat(number(row(page, "Lower end of the band, -1 dB"), 0)).isCloseTo(23.6, Percentage.withPercentage(4));
        assertThat(page.select("figure b").eachText()).contains("THD against frequency", "Level against frequency");
    }

    @Test
    void theMeterAtTheLoadTellsWhatTheCardHears() {
        amp.set("40");
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
        amp = new PracticeRun(visitor, "/runs/" + NewRun.of("EL34"));
        assertThat(play("shape=SINE").statusCode()).isEqualTo(422);
        assertThat(page().select("#play-practice")).isEmpty();
    }

    private HttpResponse<String> climb(String goal, String mark, String hertz) {
        return amp.post("/proof/practice/climb", Map.of("goal", goal, "mark", mark, "hertz", hertz));
    }

    @Test
    void aKeyOfTheGridMeasuresItsCell() {
        amp.set("40");
        // No card tells where 10 kHz clips.
        assertThat(page().select(".proof-grid form")).hasSize(11);
        climb("POWER", "1", "1000");
        assertThat(number(page().select(".proof .most").text())).isCloseTo(1, Percentage.withPercentage(4));
        climb("CLIPPING", "0.1", "1000");
        Document page = page();
        assertThat(page.select(".proof-grid form[action]")).hasSizeLessThanOrEqualTo(9);
        assertThat(page.select(".proof-grid [data-press=s], .proof-grid [data-press=o]"))
                .isEmpty();
        // One current tells no sag: that stands there, and no fault is looked for.
        assertThat(number(row(page, "Full power"), 0)).isLessThan(number(row(page, "The load line has"), 0));
        assertThat(row(page, "The load line has").text()).contains("what this one sags is not known");

        climb("CLIPPING", "0.1", "100");
        assertThat(page().select("figcaption b").eachText()).contains("Full power against frequency");

        HttpResponse<String> tooMuch = climb("POWER", "1000", "1000");
        assertThat(tooMuch.statusCode()).isEqualTo(422);
        assertThat(tooMuch.body()).contains("this power is not there at this tone");
        amp.set("47");
        assertThat(page().select(".proof-grid form")).as("another setting").hasSize(11);
        climb("CLIPPING", "0.1", "1000");
        Document both = page();
        assertThat(number(row(both, "Full power"), 1))
                .isCloseTo(number(row(both, "The load line has"), 1), Percentage.withPercentage(10));
    }

    @Test
    void theTonesPageOffersTheAmpOfTheRun() {
        Document tones = visitor.page(page().select("#play-practice").attr("href"));

        assertThat(tones.select("#practice").attr("value")).contains("shape=SINE");
        assertThat(tones.select("form#play").attr("action")).isEqualTo(amp.path() + "/proof/practice");
        assertThat(visitor.page("/signal").select("#practice")).isEmpty();
    }
}
