package yellowrail.web.closing;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.Arrays;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** What leaves the bench with an amp. */
@ExtendWith(RunningApplication.class)
class ClosingPagesTest {

    private static final int MODULE = 4;

    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final Visitor visitor = new Visitor(RunningApplication.url());
    private String run;
    private long id;

    @BeforeEach
    void aRun() {
        id = runs.begin(RunningApplication.bean(AmpService.class)
                        .create(new AmpDefaults(
                                        Topology.PUSH_PULL,
                                        BiasKind.FIXED_ADJUSTABLE,
                                        TubeCatalogue.published().find("6L6GC").orElseThrow(),
                                        2,
                                        false)
                                .sheet()
                                .with(new Identity("Ragged robin", "", ""))))
                .id();
        run = "/runs/" + id;
        for (String line : new String[] {
            "tick closed; on 15",
            "mains 119.6",
            "V1 24.1 V2 22.3 plate 463",
            "turn RANGE clockwise",
            "V1 36.4 V2 33.9 plate 452",
            "must 2 x coupling capacitor 22n 630V at V2",
            "could =cmd|' /C calc'!A0"
        }) {
            assertThat(entries.enter(id, line, "", true)).isInstanceOf(EntryOutcome.Accepted.class);
        }
    }

    private Document page(String path) {
        return Jsoup.parse(visitor.get(run + path).body());
    }

    @Test
    void whatIsOpenIsToldAndNothingForbidsToClose() {
        Document close = page("?at=close");
        assertThat(close.select(".closing").text())
                .contains("Still open", "The amp is on by the log", "plates stayed grey")
                .contains("must", "2 \u00d7 coupling capacitor 22n 630V, V2");
        assertThat(visitor.post(run + "/close", visitor.form(run + "?at=close", run + "/close"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(runs.run(id).isOpen()).isFalse();
        assertThat(page("/record").text()).doesNotContain("the run is still open");
    }

    @Test
    void aQuestionThatWasKeptIsTold() {
        assertThat(page("?at=close").select(".closing").text()).doesNotContain("kept as typed");
        assertThat(entries.enter(id, "V2 1.9V", "", false)).isInstanceOf(EntryOutcome.Asked.class);
        assertThat(entries.enter(id, "V2 1.9V", "", true)).isInstanceOf(EntryOutcome.Accepted.class);
        assertThat(page("?at=close").select(".closing").text()).contains("Asked about, and kept as typed: V2 1.9V");
    }

    @Test
    void theRecordHasAsFoundBesideAsLeft() {
        assertThat(page("/record").select("#content").text())
                .contains("Ragged robin", "as found", "24.1 mV", "as left", "36.4 mV", "119.6 V")
                .contains("coupling capacitor 22n 630V", "Lethal voltages inside");
    }

    @Test
    void theLabelTellsTheSettingAndItsCodeOpensTheRun() throws Exception {
        Element label = page("/label").selectFirst(".chassis-label");
        assertThat(label.attr("width")).isEqualTo("90mm");
        assertThat(label.text()).contains("Ragged robin", "mains 119.6 V", "plates 452.0 V", "36.4 mV", "15.6 W");
        assertThat(decoded(label.selectFirst(".label-code"))).isEqualTo(RunningApplication.url() + run);
    }

    /** Draws the path as a picture and has it read. */
    private static String decoded(Element code) throws Exception {
        int size = Integer.parseInt(code.parent().attr("viewBox").split(" ")[2]);
        int[] pixels = new int[size * MODULE * size * MODULE];
        Arrays.fill(pixels, 0xFFFFFF);
        Matcher dark = Pattern.compile("M(\\d+) (\\d+)").matcher(code.attr("d"));
        while (dark.find()) {
            for (int y = 0; y < MODULE; y++) {
                for (int x = 0; x < MODULE; x++) {
                    pixels[
                            (Integer.parseInt(dark.group(2)) * MODULE + y) * size * MODULE
                                    + Integer.parseInt(dark.group(1)) * MODULE
                                    + x] = 0;
                }
            }
        }
        return new QRCodeReader()
                .decode(
                        new BinaryBitmap(
                                new HybridBinarizer(new RGBLuminanceSource(size * MODULE, size * MODULE, pixels))),
                        // Drawn square and alone: the search for one in a photograph misses some of those.
                        Map.of(DecodeHintType.PURE_BARCODE, true))
                .getText();
    }

    @Test
    void partsAndReadingsAreFilesWithoutFormulas() {
        assertThat(visitor.get(run + "/parts.csv").body())
                .contains("tier,quantity,part,place", "must,2,coupling capacitor 22n 630V,V2")
                .contains("'=cmd");
        assertThat(visitor.get(run + "/readings.csv").body())
                .contains("taken,kind,place,value,unit,words", ",sense-volts,V1,0.0364,V,", ",mains,,119.6,V,");
    }
}
