package yellowrail.web.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.web.PracticeRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The practice bench as forms: it works where no script runs. */
@ExtendWith(RunningApplication.class)
class PracticePagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private String run;

    private HttpResponse<String> start(String exercise, String seed) {
        Map<String, String> form = new HashMap<>(visitor.form("/practice", "/practice"));
        form.put("exercise", exercise);
        form.put("seed", seed);
        return visitor.post("/practice", form);
    }

    @BeforeEach
    void aWarmBench() {
        run = Visitor.location(start("0", "5"));
        sent("/ticks/closed", Map.of("ticked", "true"));
        sent("/practice/power", Map.of());
        sent("/practice/wait", Map.of("minutes", "10"));
    }

    private HttpResponse<String> post(String path, Map<String, String> fields) {
        Map<String, String> form = new HashMap<>(visitor.form("/practice", "/practice"));
        form.putAll(fields);
        return visitor.post(run + path, form);
    }

    private void sent(String path, Map<String, String> fields) {
        HttpResponse<String> answer = post(path, fields);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
    }

    private Document bench() {
        return Jsoup.parse(visitor.get(run + "/practice").body());
    }

    private double shown() {
        return Double.parseDouble(
                bench().selectFirst("#display").attr("data-reading").split(" ")[0]);
    }

    @Test
    void theLeadGoesWhereItIsPutAndIsReadThere() {
        assertThat(bench().select(".active")).isEmpty();
        sent("/practice/probe", Map.of("probe", "V1"));
        assertThat(bench().select("[aria-pressed=true]").eachText()).containsExactly("V1");
        assertThat(bench().selectFirst("#display").text()).contains("lead on V1", "mV");
        assertThat(shown()).isBetween(10.0, 80.0);
        sent("/practice/probe", Map.of("probe", "plate"));
        assertThat(shown()).isBetween(250.0, 700.0);
        assertThat(Jsoup.parse(visitor.get(run).body()).select(".log .typed").eachText())
                .anyMatch(line -> line.startsWith("plate "))
                .anyMatch(line -> line.startsWith("V1 "));
    }

    @Test
    void aTurnIsSeenOnTheMeterAndLogged() {
        sent("/practice/probe", Map.of("probe", "V1"));
        double before = shown();
        sent("/practice/turn", Map.of("pot", "0", "position", "40"));
        assertThat(shown()).isGreaterThan(1.1 * before);
        assertThat(bench().selectFirst(".knob b").text()).contains("40 of 100");
        assertThat(Jsoup.parse(visitor.get(run).body()).select(".log .typed").eachText())
                .contains("turn RANGE clockwise");
        assertThat(post("/practice/turn", Map.of("pot", "0", "position", "-5")).statusCode())
                .as("it has a stop")
                .isEqualTo(404);
        assertThat(bench().selectFirst(".knob b").text()).contains("40 of 100");
    }

    @Test
    void switchedOffItCoolsAndTubesCanBeExchanged() {
        assertThat(bench().select("#bench-power").text()).contains("Switch off");
        sent("/practice/power", Map.of());
        assertThat(bench().select("#bench-power").text()).contains("Switch on");
        sent("/practice/swap", Map.of());
        assertThat(Jsoup.parse(visitor.get(run).body()).select(".log .typed").eachText())
                .anyMatch(line -> line.startsWith("tube "));
    }

    @Test
    void timeGoesByInWholeMinutesAndNotForAnHour() {
        String before = bench().selectFirst("#display").text();
        sent("/practice/wait", Map.of("minutes", "600"));
        assertThat(before).contains("bench time 10:");
        assertThat(bench().selectFirst("#display").text()).contains("bench time 40:");
    }

    @Test
    void aDiagnosisIsMarkedOnceAndShown() {
        run = Visitor.location(start("3", "5"));
        sent("/practice/mark", Map.of("said", "CREEPING_TUBE"));
        assertThat(bench().select(".marking h2").text()).isEqualTo("Not passed");
        assertThat(bench().select("#said")).as("there is no second try").isEmpty();
        Document list = Jsoup.parse(visitor.get("/practice").body());
        assertThat(list.select("li:has(a[href=" + path() + "])").text()).contains("Exercise 3", "not passed");
    }

    @Test
    void aHintIsSentWhenItIsAnotherThanWhatIsShown() {
        HttpResponse<String> first = visitor.get(run + "/practice/hint?at=plan");
        assertThat(Jsoup.parse(first.body()).select("#guide").attr("data-points"))
                .isEqualTo("#done");
        String again = Jsoup.parse(first.body()).select("#guide").attr("hx-get");
        assertThat(visitor.get(again).statusCode()).isEqualTo(204);
        assertThat(visitor.get(run + "/practice/hint?at=soak").body()).contains("Now it is the turn of plan");
        assertThat(visitor.get(run + "/practice/hint?at=heaven").statusCode()).isEqualTo(404);
        assertThat(visitor.get(Visitor.location(start("4", "5")) + "/practice/hint?at=plan")
                        .statusCode())
                .isEqualTo(204);
    }

    /** What stood there is not to stay when the page alone should be heard. */
    @Test
    void aHintGoesWhenThereIsNoneAnyMore() {
        post("/close", Map.of());
        Element gone = Jsoup.parse(
                        visitor.get(run + "/practice/hint?at=plan&shown=5f").body())
                .selectFirst("#guide");
        assertThat(gone.hasAttr("hidden")).isTrue();
        assertThat(gone.text()).isEmpty();
    }

    /** What an exercise trains would give it away before. */
    @Test
    void whatAnExerciseTrainsIsToldWithTheBestMarksOnceItWasPassed() {
        String trains = "To read the mains with every setting";
        run = Visitor.location(start("3", "5"));
        assertThat(visitor.page("/practice").text()).doesNotContain(trains);
        sent("/ticks/closed", Map.of("ticked", "true"));
        sent("/practice/power", Map.of());
        sent("/practice/wait", Map.of("minutes", "10"));
        PracticeRun practice = new PracticeRun(visitor, path());
        IntStream.iterate(12, position -> position + 3)
                .takeWhile(position -> position <= 100 && !isSet())
                .forEach(position -> practice.set(Integer.toString(position)));
        sent("/practice/mark", Map.of("said", "MAINS_LOW"));
        assertThat(bench().select(".marking h2").text()).isEqualTo("Passed");
        Elements card = visitor.page("/practice").select(".exercises li.done:has([value=3])");
        assertThat(card.text()).contains("passed", trains).containsPattern("best: \\d+ turns?, \\d+ min \\d+ s");
    }

    private boolean isSet() {
        return visitor.page(path() + "?at=set").select(".move-sentence").text().startsWith("Set:");
    }

    private String path() {
        return run.replaceFirst("https?://[^/]+", "");
    }

    /** What no form of ours sends. */
    @ParameterizedTest
    @CsvSource({
        "/practice/probe,probe,ceiling,404",
        "/practice/turn,pot,0,400",
        "/practice/mark,said,gremlins,404",
        "/practice/mark,said,'',404",
        "/practice/wait,minutes,soon,400"
    })
    void whatIsNotOnTheBenchIsRefusedInWords(String path, String field, String value, int status) {
        HttpResponse<String> answer = post(path, Map.of(field, value));
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(Jsoup.parse(answer.body()).select(".say").text())
                .as("a sentence, with no class's name in it")
                .matches("\\p{Lu}[^.]+ [^.]+\\..*")
                .doesNotContain("Exception");
    }

    @Test
    void aBenchThatIsNoneIsNotFound() {
        assertThat(start("99", "").statusCode()).isEqualTo(404);
        assertThat(visitor.get("/runs/999999/practice").statusCode()).isEqualTo(404);
        assertThat(Jsoup.parse(visitor.get("/practice?seed=x'").body())
                        .select("input[name=seed]")
                        .eachAttr("value"))
                .as("a seed is a number")
                .containsOnly("");
    }

    /** The wiper leaves its track in mid turn: the tubes glow, unless the supply was made fail-safe before. */
    @ParameterizedTest
    @CsvSource({"false, true", "true, false"})
    void aSupplyMadeFailSafeOnTheBiasBenchPreventsTheRunaway(boolean safe, boolean glows) {
        run = Visitor.location(start("15", "7"));
        String bench = Visitor.location(visitor.get(run + "/practice/bias-bench"));
        assertThat(visitor.page(bench).text()).contains("Not fail-safe", "A resistor of 470 k from the wiper");
        if (safe) {
            Map<String, String> kept = visitor.form(bench + "?wiper-to-cold=470", bench + "/kept");
            assertThat(visitor.post(bench + "/kept", kept).statusCode()).isEqualTo(302);
            assertThat(visitor.page(bench).text()).doesNotContain("Not fail-safe");
        }
        sent("/ticks/closed", Map.of("ticked", "true"));
        sent("/practice/power", Map.of());
        sent("/practice/wait", Map.of("minutes", "1"));
        sent("/practice/turn", Map.of("pot", "0", "position", "60"));
        sent("/practice/wait", Map.of("minutes", "1"));
        assertThat(visitor.page(run).text().contains("red-plates")).isEqualTo(glows);
        assertThat(bench().select(".red-plate").isEmpty()).isNotEqualTo(glows);
    }
}
