package yellowrail.web.prove;

import static org.assertj.core.api.Assertions.assertThat;

import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.RunEntries;

/** What is typed of the output, setting beside setting. */
@ExtendWith(RunningApplication.class)
class ProofSheetTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private long run;

    @BeforeEach
    void aRunThatIsSafeToRead() {
        run = NewRun.of("EL34");
        type("tick all");
        type("mains 120; V1 36mV; V2 36mV; plate 440");
    }

    private EntryOutcome type(String line) {
        return RunningApplication.bean(RunEntries.class).enter(run, line, "", true);
    }

    private Document sheet() {
        return visitor.page("/runs/" + run + "/proof/sheet");
    }

    private static Element row(Document sheet, String question) {
        return sheet.select(".side-by-side tbody tr").stream()
                .filter(row -> row.select("th").text().equals(question))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anEmptySheetSaysWhatToType() {
        assertThat(sheet().text()).contains("Nothing is measured yet", "clips 16.9 Vrms 8.1R 1k");
    }

    @Test
    void aLineIsToldInWattsAtOnce() {
        assertThat(type("clips 16.9 Vrms 8.1R 1k")).isInstanceOf(EntryOutcome.Accepted.class);
        type("hum 2.4mV");

        Document sheet = sheet();

        assertThat(sheet.select(".typed-lines").text())
                .contains("clips 16.9 Vrms 8.1R 1k", "35.3 \u00b1 2.0 W into 8.1 ohm", "2.4 \u00b1 0.3 mV");
        assertThat(row(sheet, "Hum, all that a meter reads").text()).contains("77.0 dB below full power");
        assertThat(sheet.select(".side-by-side thead th").text())
                .contains("36.0 \u00b1", "EL34", "mains 120.0 V", "440");
        assertThat(row(sheet, "The load line has").text()).contains("W");
    }

    @Test
    void whatIsLackingIsSaid() {
        type("scope 2.5div 0.1V");
        type("damping 2.83V 2.83V 8R");

        assertThat(sheet().select(".typed-lines").text())
                .contains("88 \u00b1 4 mV", "No load was told", "The load pulls nothing down");
    }

    @Test
    void settingsStandBesideOneAnotherAndSayWhatForbidsIt() {
        type("clips 16.9V 8.1R 1k; thd 0.70% 1W 1k; thd 0.72% 1W 1k; hum 2.4mV");
        type("turn RANGE clockwise");
        type("V1 44mV; V2 44mV; plate 431");
        type("clips 12.3V 4.0R 1k; thd 0.50% 1W 1k 8.1R; thd 0.49% 1W 1k; hum 2.5mV");

        Document sheet = sheet();

        assertThat(sheet.select(".side-by-side thead th").eachText())
                .hasSize(2)
                .last()
                .asString()
                .contains("44.0 \u00b1", "431");
        assertThat(row(sheet, "Full power, where it begins to clip, 1 kHz").text())
                .contains("not to be compared: 4 ohm here, 8.1 ohm there");
        assertThat(row(sheet, "THD, 1 W, 1 kHz").text()).contains("(2 times)", "more than repeats differ by");
        assertThat(row(sheet, "Hum, all that a meter reads").text()).contains("once each");
    }

    @Test
    void nothingIsTakenBeforeTheAmpIsSafe() {
        long other = NewRun.of("EL34");

        assertThat(RunningApplication.bean(RunEntries.class).enter(other, "hum 2.4mV", "", false))
                .isInstanceOf(EntryOutcome.Held.class);
    }

    @Test
    void theStationShowsIt() {
        type("clips 16.9 Vrms 8.1R 1k");

        Document station = visitor.page("/runs/" + run + "?at=prove");
        assertThat(station.select("[hx-get=/runs/" + run + "/proof/sheet]")).hasSize(1);
        assertThat(visitor.page("/runs/" + run + "/proof").select(".side-by-side"))
                .hasSize(1);
    }
}
