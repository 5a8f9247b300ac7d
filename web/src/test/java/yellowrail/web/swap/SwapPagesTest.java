package yellowrail.web.swap;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

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
