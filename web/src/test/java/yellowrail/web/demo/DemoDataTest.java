package yellowrail.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;

/** The made-up workshop on the screen, the worked examples among its amps. */
@ExtendWith(RunningApplication.class)
class DemoDataTest {

    private static Map<String, Amp> byName;

    @BeforeAll
    static void fill() {
        RunningApplication.bean(DemoData.class).fill();
        byName = RunningApplication.bean(AmpService.class).all().stream()
                .filter(amp -> !amp.sheet().name().isBlank())
                .collect(Collectors.toMap(amp -> amp.sheet().name(), Function.identity(), (one, other) -> other));
    }

    private static String run(String name) {
        Visitor visitor = new Visitor(RunningApplication.url());
        String run = Visitor.location(visitor.get("/amps/" + byName.get(name).id() + "/run"));
        return visitor.get(run).body();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Bogbean pair | 34.6 mA | 15.6 W | 52.1 % | in window",
                        "Bogbean pair | 32.2 mA | 14.6 W | 48.5 % | cold",
                "Sedge quad | 40.1 | 11.2 W | 93.5 % | in window",
                        "Water mint stereo | 38 \u00b1 1.1 mA | 14.3 W | 57.0 % | in window",
                "Reedmace single | 80 \u00b1 4 mA | 28 W | 80.9 % | in window",
                        "Cotton grass | plate 33.6 mA | 15.0 W | 49.9 % | cold",
                "Sundew six | 36.4 mA | 12.6 W | 105.2 % | over rating"
            })
    void showsTheWorkedExamples(String name, String current, String watts, String percent, String verdict) {
        assertThat(run(name)).contains(current, watts, percent, verdict);
    }

    @Test
    void oneIsMismatchedAndOneHalfWayThrough() {
        assertThat(run("Cotton grass")).contains("more than an EI core");
        assertThat(run("Butterbur")).contains("No plate voltage read yet", "Warming up: on for");
    }

    @Test
    void theBenchTellsWhereEachStands() {
        assertThat(new Visitor(RunningApplication.url()).get("/").body())
                .contains(
                        "V2 cold, 48.5 % of the rating",
                        "V1 over rating, 105.2 % of the rating",
                        "bring it down before anything else",
                        "half way through: readings missing");
    }

    @Test
    void theSheetOfEachCanBeShownAndEdited() {
        Visitor visitor = new Visitor(RunningApplication.url());
        byName.values().forEach(amp -> {
            assertThat(visitor.get("/amps/" + amp.id()).statusCode()).isEqualTo(200);
            Map<String, String> form = visitor.form("/amps/" + amp.id() + "/edit", "/amps/" + amp.id());
            assertThat(visitor.post("/amps/" + amp.id(), form).statusCode())
                    .as(amp.sheet().name())
                    .isEqualTo(302);
            Amp saved = RunningApplication.bean(AmpService.class).newest(amp.id());
            assertThat(saved.sheet().target()).isEqualTo(amp.sheet().target());
            assertThat(saved.sheet().current()).isEqualTo(amp.sheet().current());
            assertThat(saved.sheet().sockets()).isEqualTo(amp.sheet().sockets());
        });
    }

    /** A watt by the meter, and the onset of clipping on the scale that the first one gave. */
    @Test
    void theFirstAmpWasHeardByASoundCard() {
        Visitor visitor = new Visitor(RunningApplication.url());
        String run = Visitor.location(
                visitor.get("/amps/" + byName.get("Bogbean pair").id() + "/run"));
        Document proof = visitor.page(run.replaceAll("\\?.*", "") + "/proof");
        assertThat(proof.select(".recordings tbody th").eachText())
                .containsExactly("36 mA, step by step", "36 mA, 1 W");
        assertThat(proof.select(".curves path.measured")).hasSize(1);
        assertThat(proof.select(".most").text()).endsWith(" W");
        assertThat(proof.select(".notes")).isEmpty();
    }
}
