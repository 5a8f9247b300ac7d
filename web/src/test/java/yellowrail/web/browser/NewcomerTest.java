package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/** A first amp, by somebody who has read nothing: things are tried in the order in which they stand. */
class NewcomerTest extends BrowserTest {

    private int actions;

    private void act(Runnable action) {
        action.run();
        actions++;
    }

    @Test
    void fromANewAmpToTheFirstVerdictInNineActions() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/");
        act(() -> page.locator("#main a[href='/amps/new']").click());
        act(() -> page.getByLabel("Name").first().fill("Marsh gentian"));
        act(() -> page.getByLabel("Tube type").fill("6L6GC"));
        act(() -> page.getByText("Save the sheet").click());
        act(() -> page.getByText("To the run").click());
        act(() -> {
            page.locator("#line").fill("V1 36.4 V2 33.9 plate 430");
            page.locator("#line").press("Enter");
        });
        assertThat(page.locator(".held")).containsText("A load on the output");
        assertThat(page.locator("#line")).hasValue("V1 36.4 V2 33.9 plate 430");
        assertThat(page.locator(".held [data-item]").first()).isFocused();
        act(() -> page.getByText("Each of these is seen to").click());
        assertThat(page.locator(".glance")).containsText("V2 is cold");
        assertThat(page.locator("#line")).isFocused();
        assertThat(page.locator(".log .typed")).hasCount(3);
        assertThat(actions).isLessThanOrEqualTo(9);
        page.context().close();
    }

    @Test
    void oneItemAfterTheOtherLeadsThereTooAndTheLineIsKept() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate("/amps/new");
        page.getByLabel("Name").first().fill("Round-leaved");
        // Until it is drawn the button still moves down the page.
        assertThat(page.locator("#drawn svg").first()).isVisible();
        // A page that glides to the button takes the finger for something beside it.
        assertThat(page.locator("html")).hasCSS("scroll-behavior", "auto");
        page.getByText("Save the sheet").tap();
        page.getByText("To the run").tap();
        page.locator("#line").fill("V1 36.4 V2 33.9 plate 430");
        page.locator("#line").press("Enter");
        assertThat(page.locator(".held")).isVisible();
        int items = page.locator(".held [data-item]").count();
        assertThat(items).isGreaterThan(3);
        for (int left = items; left > 0; left--) {
            assertThat(page.locator(".held [data-item]")).hasCount(left);
            assertThat(page.locator("#line")).hasValue("V1 36.4 V2 33.9 plate 430");
            page.locator(".held [data-item]").first().tap();
        }
        assertThat(page.locator(".held")).hasCount(0);
        assertThat(page.locator(".log .typed")).hasCount(3);
        page.context().close();
    }

    /** What is chosen or typed while an answer is on its way is not taken back by it. */
    @Test
    void whatIsChosenWhileAnAnswerIsOnItsWayStays() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/amps/new");
        page.evaluate("""
                () => {
                  const send = XMLHttpRequest.prototype.send;
                  window.waiting = [];
                  XMLHttpRequest.prototype.send = function (body) { window.waiting.push(() => send.call(this, body)); };
                  window.letGo = () => { XMLHttpRequest.prototype.send = send; window.waiting.forEach(go => go()); };
                }""");
        page.getByLabel("Stereo: left and right channel").evaluate("box => { box.checked = true; }");
        page.getByLabel("Tube type").fill("EL84");
        page.getByLabel("Tube type").blur();
        page.waitForFunction("() => window.waiting.length === 1");
        page.getByLabel("Name").first().fill("Wood sorrel");
        page.getByLabel("Stereo: left and right channel").evaluate("box => { box.checked = false; }");
        page.evaluate("""
                () => {
                  const topology = document.querySelector("[name='stage.topology']");
                  topology.value = "SINGLE_ENDED";
                  topology.dispatchEvent(new Event("change", {bubbles: true}));
                  window.letGo();
                }""");
        assertThat(page.getByLabel("Power tubes")).hasValue("1");
        assertThat(page.getByLabel("Topology")).hasValue("SINGLE_ENDED");
        assertThat(page.getByLabel("Stereo: left and right channel")).not().isChecked();
        assertThat(page.getByLabel("Tube type")).hasValue("EL84");
        assertThat(page.getByLabel("Name").first()).hasValue("Wood sorrel");
        page.context().close();
    }
}
