package yellowrail.web.swap;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

@ExtendWith(RunningApplication.class)
class SwapPagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private String amp;

    @BeforeEach
    void anAmpWithARectifierTube() {
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Marsh willowherb");
        form.put("supply.rectifier", "TUBE");
        form.put("fittings.rectifierTube", "GZ34");
        amp = Visitor.location(visitor.post("/amps", form));
    }

    /** A 5U4GB drops more and takes more heater current than the GZ34 that is in. */
    @Test
    void anotherRectifierIsAnsweredByItself() {
        Document page = visitor.page(amp + "/swap?rectifier=5U4GB");
        assertThat(page.text()).contains("GZ34", "5U4GB").containsIgnoringCase("heater");
        assertThat(page.select("select[name=rectifier] option[selected]").eachAttr("value"))
                .contains("5U4GB");
        assertThat(visitor.page(amp + "/swap").text()).doesNotContain("5U4GB drops");
    }

    /** Read, the amp tells what either rectifier makes of its winding, and where the current runs. */
    @Test
    void whatWasReadIsDrawn() {
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        long run = RunningApplication.bean(RunService.class)
                .begin(Long.parseLong(amp.substring(amp.lastIndexOf('/') + 1)))
                .id();
        OffsetDateTime begun = OffsetDateTime.now().minusHours(1);
        String[] lines = {"tick closed", "on", "mains 120", "V1 31", "V2 30.2", "plate 400", "screen 395", "bias -38"};
        for (int i = 0; i < lines.length; i++) {
            entries.enter(run, lines[i], "bench", true, begun.plusMinutes(1 + 2L * i));
        }
        Document rectifier = visitor.page(amp + "/swap?rectifier=5U4GB");
        assertThat(rectifier.select(".drops path.plate-curve, .drops path.tube-path"))
                .hasSize(2);
        assertThat(rectifier.select(".drops figcaption").text())
                .startsWith("On the same winding, at 61 mA: thin GZ34, 400 V; thick 5U4GB");
        Document tube = visitor.page(amp + "/swap?wants=KT88");
        assertThat(tube.select(".lit svg .way")).isNotEmpty();
        assertThat(tube.select(".lit svg")
                        .first()
                        .select(".on-the-way.held title")
                        .eachText())
                .anyMatch(title -> title.startsWith("rectifier, 250 mA"));
    }

    @Test
    void oneThatIsNotKnownIsSaidSo() {
        assertThat(visitor.get(amp + "/swap?rectifier=XX9").statusCode()).isEqualTo(404);
        assertThat(visitor.page(amp + "/swap?rectifier=XX9").text()).contains("XX9");
    }

    @Test
    void aDriverIsCheckedByItself() {
        Document page = visitor.page(amp + "/swap?small=12AX7&smallWants=12AT7");
        assertThat(page.text()).contains("12AT7 for 12AX7: not known enough: pins and circuit");
        assertThat(page.select("select[name=smallWants] option[selected]").eachAttr("value"))
                .containsExactly("12AT7");
        assertThat(visitor.get(amp + "/swap?small=12AX7&smallWants=nothing").statusCode())
                .isEqualTo(404);
    }

    @Test
    void theTableShowsOnlyWhatIsAskedFor() {
        List<String> all = types("");
        assertThat(all).contains("KT88", "EL84", "300B");
        assertThat(types("?base=true")).contains("KT88").doesNotContain("EL84", "300B");
        assertThat(types("?fits=true")).doesNotContain("300B").hasSizeLessThan(all.size());
        Map<String, String> tube = visitor.form("/drawer/new", "/drawer");
        tube.put("type", "7581A");
        tube.put("label", "Q16");
        visitor.post("/drawer", tube);
        assertThat(types("?mine=true")).contains("7581A").doesNotContain("KT170");
        assertThat(visitor.page(amp + "/swap?base=true")
                        .select("#swap-filter input[checked]")
                        .eachAttr("name"))
                .containsExactly("base");
    }

    private List<String> types(String query) {
        return visitor.page(amp + "/swap" + query)
                .select("tbody th a, tr th[scope=row] a")
                .eachText();
    }
}
