package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/** The soak exercises on the practice bench, by doing what the page says and nothing else. */
class SoakDayTest extends BrowserTest {

    private Page page;

    /** To the soak of an exercise, safe and switched on. */
    private void soaking(Page opened, int exercise) {
        page = opened;
        page.navigate("/practice?seed=7");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Exercise " + exercise)
                                .setExact(true))
                .click();
        page.waitForURL("**/runs/*");
        String run = page.url();
        page.navigate(run + "?at=make-safe");
        page.locator("[data-item=closed]").click();
        assertThat(page.locator("[data-item=closed]")).hasAttribute("aria-checked", "true");
        page.navigate(run + "?at=soak");
        power("Switch off");
    }

    private void power(String then) {
        page.locator("#bench-power").click();
        assertThat(page.locator("#bench-power")).containsText(then);
    }

    private void tenMinutes(int times) {
        for (int i = 0; i < times; i++) {
            String before = page.locator("#display small").textContent();
            page.locator("#wait-ten").click();
            page.waitForCondition(
                    () -> !page.locator("#display small").textContent().equals(before));
        }
    }

    private void exchange() {
        power("Switch on");
        page.locator("#swap").click();
        assertThat(page.locator(".log .typed").first()).hasText(Pattern.compile("tube V2 .*of V1"));
        power("Switch off");
    }

    private void state(String point, String state) {
        assertThat(page.locator("[data-point=" + point + "]").first()).hasAttribute("data-state", state);
    }

    private void said(String diagnosis) {
        page.locator(".say-it summary").click();
        page.locator("#said").selectOption(diagnosis);
        page.locator("#mark").click();
        assertThat(page.locator(".marking h2")).hasText("Passed");
    }

    @Test
    void aCreepIsFoundAndFollowsItsTube() {
        soaking(chromium.laptop(RunningApplication.url()), 11);
        tenMinutes(2);
        state("V1", "creeping");
        assertThat(page.locator(".whose")).containsText("Switch off, let V1 and V2 cool, exchange them");
        exchange();
        tenMinutes(2);
        assertThat(page.locator(".whose .move-sentence")).containsText("The fault followed the tube from V1 to V2");
        power("Switch on");
        said("CREEPING_TUBE");
    }

    @Test
    void aLeakStaysWithItsSocketOnAPhoneToo() {
        soaking(chromium.phone(RunningApplication.url()), 12);
        tenMinutes(2);
        state("V2", "creeping");
        exchange();
        tenMinutes(2);
        assertThat(page.locator(".whose .move-sentence")).containsText("The fault stayed with the socket V2");
        assertThat(page.locator(".whose")).containsText("across the grid leak");
        power("Switch on");
        said("LEAKY_CAPACITOR");
    }

    @Test
    void aRunawayIsSwitchedOffBeforeTheTubeIsLost() {
        soaking(chromium.laptop(RunningApplication.url()), 13);
        for (int i = 0; i < 5 && page.locator(".sentence.switch-off").count() == 0; i++) {
            tenMinutes(1);
            page.waitForLoadState(LoadState.NETWORKIDLE);
        }
        assertThat(page.locator(".sentence.switch-off")).containsText("V1 runs away");
        power("Switch on");
        assertThat(page.locator(".red-plate")).hasCount(0);
        said("SOAK_RUNAWAY");
    }

    @Test
    void theKeySwitchesBetweenPercentAndTheMetersUnit() {
        soaking(chromium.laptop(RunningApplication.url()), 10);
        tenMinutes(1);
        assertThat(page.locator(".soak svg .turned")).hasText("reading, mV");
        page.locator("#swap").focus();
        new Keys(page).press("y");
        assertThat(page.locator(".soak svg .turned")).hasText("reading, %");
        page.locator("#swap").focus();
        new Keys(page).press("y");
        assertThat(page.locator(".soak svg .turned")).hasText("reading, mV");
    }

    /** The alarms are asked for every ten seconds, the curves every twenty: a hand at the keys does not notice. */
    @Test
    void whatLooksOnByItselfMovesNoCursorAndTakesNothingAway() {
        soaking(chromium.laptop(RunningApplication.url()), 10);
        page.locator("#line").fill("V1 3");
        page.locator("#wait-ten").focus();
        for (String part : new String[] {"alarm", "soak"}) {
            page.waitForResponse(
                    response -> response.url().contains(part),
                    () -> page.evaluate(
                            "part => { htmx.ajax('GET', document.getElementById(part).getAttribute('hx-get'),"
                                    + " {source: '#' + part, target: '#' + part}); }",
                            part));
            assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                    .hasCount(0);
        }
        assertThat(page.locator("#wait-ten")).isFocused();
        assertThat(page.locator("#line")).hasValue("V1 3");
    }
}
