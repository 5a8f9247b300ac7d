package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The bias bench with the mouse and by keyboard: parts are touched, dragged, typed, and the supply is kept. */
class BiasDayTest extends BrowserTest {

    private static String amp;

    @BeforeAll
    static void anAmp() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Water avens");
        form.put("stage.tubeType", "6L6GC");
        form.put("stage.ratingSystem", "DESIGN_MAXIMUM");
        amp = Visitor.location(visitor.post("/amps", form));
    }

    private static double volts(Page page) {
        assertThat(page.locator("#drawn[aria-busy=false]")).isVisible();
        return Double.parseDouble(page.locator("#grids").textContent().replace(" V", ""));
    }

    private static void drag(Page page, String part, double dx, double dy) {
        BoundingBox box = page.locator(part).first().boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 10; i++) {
            page.mouse().move(x + dx * i / 10, y + dy * i / 10);
        }
        page.mouse().up();
    }

    @Test
    void partsAreDraggedTouchedAndTyped() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(amp + "/bias");
        double middle = volts(page);
        drag(page, ".bias-circuit [data-part=wiper] .touch", 0, 20);
        assertThat(page.locator("#wiper")).not().hasValue("50");
        assertThat(volts(page)).as("down the track is hotter").isGreaterThan(middle + 1);
        drag(page, ".bias-circuit [data-part=lower] .touch", 0, -40);
        assertThat(page.locator("#lower")).not().hasValue("22");
        assertThat(Double.parseDouble(page.locator("#lower").inputValue())).isGreaterThan(30);
        page.locator(".bias-circuit [data-part=pot] .touch").click();
        assertThat(page.locator("#pot")).isFocused();
        page.keyboard().type("25");
        page.keyboard().press("Enter");
        assertThat(page.locator(".bias-circuit [data-part=pot] text")).hasText("25 k");
        assertThat(page.locator("#safe")).hasText("Not fail-safe");
        page.locator("#wiper-to-cold").fill("470");
        assertThat(page.locator("#safe")).hasText("Fail-safe");
        page.locator("#wiper-to-cold").press("Tab");
        page.waitForURL(url -> url.contains("wiper-to-cold=470"));
        assertThat(page.locator("#drawn[aria-busy=false]")).isVisible();
        page.locator("#keep").click();
        assertThat(page.locator(".bias-circuit [data-part=wiper-to-cold] text")).hasText("470 k");
        assertThat(page.locator(".check")).hasCount(0);
    }

    @Test
    void byKeyboardAlone() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(amp + "/bias?wiper=50");
        double middle = volts(page);
        page.locator(".bias-circuit [data-part=wiper]").focus();
        for (int i = 0; i < 5; i++) {
            page.keyboard().press("ArrowUp");
            assertThat(page.locator("#wiper")).hasValue(String.valueOf(51 + i));
            assertThat(page.locator("#drawn[aria-busy=false] .bias-circuit [data-part=wiper]"))
                    .isFocused();
        }
        assertThat(volts(page)).isGreaterThan(middle);
        page.keyboard().press("Enter");
        assertThat(page.locator("#wiper")).isFocused();
    }

    @Test
    void onAPhoneTheDrawingScrollsAndTheRestFits() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate(amp + "/bias");
        assertThat(page.locator("#grids")).isVisible();
        assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();
    }
}
