package yellowrail.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** What is printed takes one sheet: Chromium prints it to PDF. */
class PrintTest extends BrowserTest {

    /** A stereo quad that soaked, with much found: as full as a record gets. */
    private static String aFullRun() {
        RunService runs = RunningApplication.bean(RunService.class);
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        long id = runs.begin(RunningApplication.bean(AmpService.class)
                        .create(new AmpDefaults(
                                        Topology.PUSH_PULL,
                                        BiasKind.FIXED_ADJUSTABLE,
                                        TubeCatalogue.published().find("EL34").orElseThrow(),
                                        8,
                                        true)
                                .sheet()))
                .id();
        entries.enter(id, "tick closed; on", "", true);
        entries.enter(id, "plate 430; mains 120", "", true);
        for (int i = 0; i < 8; i++) {
            for (int tube = 1; tube <= 8; tube++) {
                entries.enter(id, String.format(Locale.ROOT, "V%d %.1f", tube, 34 + tube * 0.3 + i * 0.05), "", true);
            }
        }
        for (String tier : new String[] {"must", "should", "could"}) {
            for (int i = 1; i <= 4; i++) {
                entries.enter(id, tier + " 2 x a part with a rather long description, 630 V at V" + i, "", true);
            }
        }
        return "/runs/" + id;
    }

    private static int pages(byte[] pdf) {
        return (int) Pattern.compile("/Type\\s*/Page\\b")
                .matcher(new String(pdf, StandardCharsets.ISO_8859_1))
                .results()
                .count();
    }

    @ParameterizedTest
    @ValueSource(strings = {"A4", "Letter"})
    void theRecordAndTheLabelTakeOneSheetEach(String format) {
        Page page = chromium.laptop(RunningApplication.url());
        String run = aFullRun();
        for (String what : new String[] {"/record", "/label"}) {
            page.navigate(run + what);
            byte[] pdf = page.pdf(new Page.PdfOptions().setFormat(format).setPrintBackground(true));
            assertThat(pages(pdf)).as(what).isEqualTo(1);
        }
    }

    @Test
    void theLabelIsNinetyByFiftyFiveMillimetres() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(aFullRun() + "/label");
        var box = page.locator(".chassis-label").boundingBox();
        assertThat(box.width / box.height).isBetween(89.5 / 55.5, 90.5 / 54.5);
        assertThat(box.width * 25.4 / 96).isBetween(89.0, 91.0);
    }
}
