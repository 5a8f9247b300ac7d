package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** Every slider and drag of the load line, with the mouse on a laptop, with a finger on a phone, and by keyboard. */
class LoadLineDayTest extends BrowserTest {

    private static String amp;

    @BeforeAll
    static void anAmp() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Brown sedge");
        form.put("stage.tubeType", "6L6GC");
        form.put("stage.ratingSystem", "DESIGN_MAXIMUM");
        amp = Visitor.location(visitor.post("/amps", form));
    }

    private static Page loadLine(Page page) {
        page.navigate(amp + "/load-line");
        assertThat(page.locator(".watts")).isVisible();
        return page;
    }

    private static double field(Page page, String name) {
        return Double.parseDouble(page.locator("#" + name).inputValue());
    }

    /** Waits until the newest answer stands. */
    private static void settled(Page page) {
        assertThat(page.locator("#drawn[aria-busy=false] .sweeps figure")).hasCount(2);
    }

    /** Waits until the page has handled a move: the browser hands them over once a frame. */
    private static void handled(Page page) {
        page.evaluate("new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
    }

    private static double[] middle(Page page, String handle) {
        settled(page);
        BoundingBox box =
                page.locator(".handle[data-drag=" + handle + "] .reach").boundingBox();
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    /** Moves every slider and waits for the answer, and for the sweeps after it is let go. */
    private static void slide(Page page) {
        for (String name : List.of("idle", "load", "plates", "screens")) {
            String before = page.locator(".watts").textContent()
                    + page.locator("#chart .supply").getAttribute("d")
                    + page.locator("#chart .tube-path").getAttribute("d");
            double typed = field(page, name);
            page.locator("input[data-for=" + name + "]").focus();
            for (int i = 0; i < 60; i++) {
                page.keyboard().press("ArrowLeft");
            }
            assertThat(field(page, name)).as(name).isLessThan(typed);
            page.waitForFunction(
                    "before => document.querySelector('.watts')?.textContent + document.querySelector('#chart "
                            + ".supply')?.getAttribute('d') + document.querySelector('#chart "
                            + ".tube-path')?.getAttribute('d') !== before",
                    before);
            settled(page);
        }
    }

    @Test
    void slidersAndDragsWithTheMouse() {
        Page page = loadLine(chromium.laptop(RunningApplication.url()));
        slide(page);
        loadLine(page);
        double load = field(page, "load");
        double[] at = middle(page, "load");
        page.mouse().move(at[0], at[1]);
        page.mouse().down();
        for (int i = 1; i <= 15; i++) {
            page.mouse().move(at[0] - i, at[1] + 5 * i);
            handled(page);
        }
        page.mouse().up();
        settled(page);
        assertThat(field(page, "load"))
                .as("less current at the same volts: a lighter load")
                .isGreaterThan(1.2 * load);
        double idle = field(page, "idle");
        at = middle(page, "idle");
        page.mouse().move(at[0], at[1]);
        page.mouse().down();
        page.mouse().move(at[0] + 5, at[1] - 20);
        page.mouse().move(at[0] + 10, at[1] - 40);
        page.mouse().up();
        assertThat(field(page, "idle")).as("up: hotter").isGreaterThan(idle);
        page.waitForURL(url -> url.contains("load=") && url.contains("idle="));
        page.locator("#keep").click();
        assertThat(page.locator("#kept tbody tr, #kept table tr")).hasCount(2);
        page.waitForLoadState();
        page.locator("body").press("a");
        assertThat(page.locator(".loadline.large")).hasCount(1);
        assertThat(((Number) page.evaluate("parseFloat(getComputedStyle(document.querySelector('.watts')).fontSize)"))
                        .doubleValue())
                .isGreaterThanOrEqualTo(80);
        page.context().close();
    }

    @Test
    void slidersAndDragsWithAFinger() {
        Page page = loadLine(chromium.phone(RunningApplication.url()));
        slide(page);
        loadLine(page);
        double load = field(page, "load");
        page.locator(".handle[data-drag=load]").scrollIntoViewIfNeeded();
        double[] at = middle(page, "load");
        CDPSession finger = page.context().newCDPSession(page);
        touch(finger, "touchStart", at[0], at[1]);
        for (int i = 1; i <= 15; i++) {
            touch(finger, "touchMove", at[0], at[1] + 3 * i);
            handled(page);
        }
        touch(finger, "touchEnd", -1, -1);
        settled(page);
        assertThat(field(page, "load")).isGreaterThan(1.08 * load);
        assertThat((boolean) page.evaluate("document.documentElement.scrollWidth > innerWidth"))
                .isFalse();
        page.context().close();
    }

    private static void touch(CDPSession finger, String type, double x, double y) {
        JsonArray points = new JsonArray();
        if (x >= 0) {
            JsonObject point = new JsonObject();
            point.addProperty("x", x);
            point.addProperty("y", y);
            points.add(point);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        finger.send("Input.dispatchTouchEvent", event);
    }

    @Test
    void whatCannotBeIsSaidAndNothingTypedIsLost() {
        Page page = loadLine(chromium.laptop(RunningApplication.url()));
        page.locator("#load").fill("0");
        page.locator("#load").press("Enter");
        assertThat(page.locator("#drawn .fault")).containsText("is out of range; from 0.2 to 100 k");
        assertThat(page.locator("#load")).hasValue("0");
        page.locator("#load").fill("6.6");
        page.locator("#load").press("Enter");
        assertThat(page.locator("#drawn .fault")).hasCount(0);
        assertThat(page.locator(".watts")).isVisible();
        page.context().close();
    }
}
