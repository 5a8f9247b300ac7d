package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
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

    /** A finger on the wiper: the grids follow, and the page stays where it is. */
    @Test
    void aFingerDragsTheWiper() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate(amp + "/bias?wiper=50");
        double middle = volts(page);
        page.locator("#travel").scrollIntoViewIfNeeded();
        BoundingBox box = page.locator("#travel .handle .reach").boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        int scrolled = (Integer) page.evaluate("Math.round(scrollY)");
        CDPSession finger = page.context().newCDPSession(page);
        touch(finger, "touchStart", x, y);
        for (int i = 1; i <= 12; i++) {
            touch(finger, "touchMove", x - 6 * i, y);
        }
        finger.send("Input.dispatchTouchEvent", touches("touchEnd", new JsonArray()));
        assertThat(page.locator("#wiper")).not().hasValue("50");
        assertThat(volts(page)).as("to the left is colder").isLessThan(middle - 1);
        assertThat((Integer) page.evaluate("Math.round(scrollY)")).isEqualTo(scrolled);
    }

    private static void touch(CDPSession finger, String type, double x, double y) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x);
        point.addProperty("y", y);
        JsonArray points = new JsonArray();
        points.add(point);
        finger.send("Input.dispatchTouchEvent", touches(type, points));
    }

    private static JsonObject touches(String type, JsonArray points) {
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        return event;
    }

    /** Exercise 15: as it is found the plates glow once the pot is turned; made fail-safe on the bench they do not. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theOpenWiperRunsAwayUnlessItsSupplyWasMadeFailSafe(boolean mended) {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/practice");
        page.locator("form:has(input[name=exercise][value=\"15\"]) button").click();
        page.waitForURL(url -> url.contains("/runs/"));
        String run = page.url().replaceAll("\\?.*", "");
        if (mended) {
            page.locator(".bench-panel a[href$=bias-bench]").click();
            assertThat(page.locator("#safe")).hasText("Not fail-safe");
            page.locator("#wiper-to-cold").fill("470");
            page.locator("#wiper-to-cold").press("Tab");
            assertThat(page.locator("#safe")).hasText("Fail-safe");
            assertThat(page.locator("#drawn[aria-busy=false]")).isVisible();
            page.locator("#keep").click();
            page.waitForURL(url -> url.contains("wiper-to-cold=470"));
        }
        page.navigate(run + "?at=make-safe");
        page.locator("[data-item=closed]").click();
        assertThat(page.locator("[data-item=closed]")).hasAttribute("aria-checked", "true");
        bench(page, "/power", () -> page.locator("#bench-power").click());
        bench(page, "/wait", () -> page.locator("#wait-minute").click());
        bench(page, "/turn", () -> page.locator("#knob-0").fill("60"));
        assertThat(page.locator("label[for=knob-0] b")).hasText("60 of 100");
        bench(page, "/wait", () -> page.locator("#wait-minute").click());
        assertThat(page.locator("#display")).containsText("time 2:");
        assertThat(page.locator(".red-plate")).hasCount(mended ? 0 : 2);
    }

    /** Does something at the practice bench and waits until that has answered and is drawn. */
    private static void bench(Page page, String what, Runnable deed) {
        page.waitForResponse(response -> response.url().endsWith("/practice" + what), deed);
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
    }
}
