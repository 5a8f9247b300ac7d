package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The parts of an amp and its cathode resistors, with the mouse and by keyboard. */
class PartsDayTest extends BrowserTest {

    private static String amp;

    @BeforeAll
    static void anAmp() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Marsh violet");
        form.put("stage.tubeType", "EL34");
        form.put("stage.ratingSystem", "DESIGN_CENTRE");
        amp = Visitor.location(visitor.post("/amps", form));
    }

    @Test
    void aFuseIsDraggedToWhatItShouldCarry() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(amp + "/parts?winding=330&reservoir=47");
        assertThat(page.locator("#of-plateFuse")).containsText("Take ");
        drag(page, "#of-plateFuse .handle .reach", -300, 0);
        assertThat(page.locator("#drawn[aria-busy=false]")).isVisible();
        assertThat(page.locator("#plateFuse")).not().hasValue("");
        assertThat(page.locator("#of-plateFuse")).containsText(" tires: full drive takes");
        assertThat(page.locator("#of-plateFuse")).containsText("opens within two minutes");
        page.locator("#plateFuse").fill("0.05");
        page.locator("#plateFuse").press("Tab");
        assertThat(page.locator("#of-plateFuse .handle")).hasAttribute("aria-valuetext", "0.05");
        page.locator("#of-plateFuse .handle").focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#plateFuse")).hasValue("0.063");
        assertThat(page.locator("#of-plateFuse .handle")).isFocused();
    }

    @Test
    void aCathodeResistorIsDraggedAlongTheCurve() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(amp + "/cathode?plates=400&count=2&own=270");
        assertThat(page.locator("#resistors thead th").first()).hasText("270 ohm");
        drag(page, "#chart .handle .reach", 80, 20);
        assertThat(page.locator("#drawn[aria-busy=false]")).isVisible();
        assertThat(page.locator("#own")).not().hasValue("270");
        assertThat(page.locator("#resistors thead th").first())
                .hasText(page.locator("#own").inputValue() + " ohm");
        page.locator("#own").fill("270");
        page.locator("#own").press("Tab");
        assertThat(page.locator("#resistors thead th").first()).hasText("270 ohm");
        page.locator("#chart .handle").focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#own")).hasValue("300");
        assertThat(page.locator("#drawn[aria-busy=false] #resistors thead th").first())
                .hasText("300 ohm");
    }

    @Test
    void onAPhoneNothingSticksOut() {
        Page page = chromium.phone(RunningApplication.url());
        for (String path : new String[] {"/parts", "/cathode?plates=400", "/bias/work", "/cathode/work?plates=400"}) {
            page.navigate(amp + path);
            Assertions.assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .as(path)
                    .isTrue();
        }
    }
}
