package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The drawn ratio bench, with the mouse, by keyboard and with a finger. */
class RatioDayTest extends BrowserTest {

    private static String amp;

    @BeforeAll
    static void anAmp() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Marsh pennywort");
        form.put("stage.tubeType", "EL34");
        form.put("stage.ratingSystem", "DESIGN_CENTRE");
        form.put("fittings.load", "6.6k");
        form.put("fittings.taps", "4 8 16");
        amp = Visitor.location(visitor.post("/amps", form));
    }

    private static Locator lead(Page page, String name) {
        return page.locator(".lead[data-lead='" + name + "']");
    }

    private static void isTaken(Page page, String line) {
        assertThat(page.locator("#value")).hasValue("");
        Assertions.assertThat(page.locator("#readings").inputValue()).endsWith(line);
    }

    @Test
    void withTheMouseKnownLeadsAreRead() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(amp + "/iron");
        for (List<String> reading :
                List.of(List.of("0", "8", "2.4"), List.of("P1", "P2", "67.2"), List.of("P1", "B+", "33.6"))) {
            lead(page, reading.get(0)).locator(".reach").click();
            lead(page, reading.get(1)).locator(".reach").click();
            assertThat(page.locator("#value")).isFocused();
            page.locator("#value").fill(reading.get(2));
            page.locator("#find-ratio").click();
            assertThat(page.locator(".transformer .read")).containsText(reading.get(2));
        }
        assertThat(page.locator("#bench table")).containsText("28.00");
        assertThat(lead(page, "P1")).containsText("33.6");
        assertThat(page.locator("#bench")).containsText("Put on the sheet: 6.27 k with 8 ohm");
        page.locator("#value").fill("lots");
        page.locator("#find-ratio").click();
        assertThat(page.locator("#value-fault")).containsText("no pair of leads");
        assertThat(page.locator("#value")).hasValue("lots");
        assertThat(page.locator("#readings")).hasValue("0-8 2.4\nP1-P2 67.2\nP1-B+ 33.6");
    }

    @Test
    void byKeyboardNumberedLeadsNameThemselves() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(amp + "/iron?leads=numbered");
        for (String reading : List.of("1-5 67.2", "3-1 33.6", "3-5 33.6", "2-1 19.2", "2-5 48", "7-9 3.4", "7-8 2.4")) {
            String[] parts = reading.split("[- ]");
            for (int i = 0; i < 2; i++) {
                lead(page, parts[i]).focus();
                page.keyboard().press("Enter");
            }
            assertThat(page.locator("#value")).isFocused();
            page.keyboard().type(parts[2]);
            page.keyboard().press("Enter");
            assertThat(page.locator(".transformer .read")).containsText(parts[2]);
            isTaken(page, " " + parts[2]);
        }
        assertThat(lead(page, "3")).hasAttribute("aria-label", "3, centre tap, B+");
        assertThat(lead(page, "2")).hasAttribute("aria-label", "2, screen 42.9 %");
        assertThat(lead(page, "7")).hasAttribute("aria-label", "7, common");
        assertThat(page.locator("#bench table")).containsText("28.00");
    }

    @Test
    void withAFingerTheSourceIsClippedOnFirst() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate(amp + "/iron");
        lead(page, "0").locator(".reach").tap();
        lead(page, "8").locator(".reach").tap();
        page.locator("#source-here").tap();
        assertThat(page.locator("#sourceAt")).hasValue("0-8");
        page.locator("#source").fill("6.3");
        page.locator("#find-ratio").tap();
        assertThat(page.locator("#bench")).containsText("Not yet: the far side would carry 181 V");
        page.locator("#source").fill("0.5");
        page.locator("#find-ratio").tap();
        assertThat(page.locator("#bench")).containsText("14 V at the far side, before anything is read there");
        Assertions.assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();
    }
}
