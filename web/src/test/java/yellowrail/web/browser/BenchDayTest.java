package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/** The main tasks as a builder does them, in a real browser. */
class BenchDayTest extends BrowserTest {

    private static Page newAmp(Page page, String name, String type) {
        page.navigate("/amps/new");
        page.getByLabel("Name").first().fill(name);
        typed(page.getByLabel("Tube type"), type);
        assertThat(page.locator("#save")).isEnabled();
        return page;
    }

    private static Page runOn(Page page, String name, String type) {
        newAmp(page, name, type).click("text=Save the sheet");
        page.click("text=To the run");
        return measuring(page);
    }

    /** At the station measure of a run whose chassis is closed. */
    private static Page measuring(Page page) {
        page.waitForURL("**/runs/*");
        page.navigate(page.url() + "?at=make-safe");
        page.locator("[data-item=closed]").click();
        assertThat(page.locator("[data-item=closed]")).hasAttribute("aria-checked", "true");
        page.locator(".rail a[data-key='5']").click();
        assertThat(page.locator("#live.with-figures")).hasCount(1);
        return page;
    }

    private static void enter(Page page, String line) {
        page.locator("#line").fill(line);
        page.waitForResponse(
                response -> response.url().endsWith("/readings"),
                () -> page.keyboard().press("Enter"));
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
    }

    private static Locator tube(Page page, String label) {
        return page.locator("article.tube")
                .filter(new Locator.FilterOptions()
                        .setHas(page.locator("h2", new Page.LocatorOptions().setHasText(label))));
    }

    @Test
    void fromNothingToVerdictsByKeyboardAlone() {
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        keys.newAmpOnTheBench("Bog orchid", "6L6GC");
        keys.enter("V1 36.4mV", "V1 36.4mV");
        keys.enter("V2 33.9", "V2 33.9mV");
        keys.enter("plate 452", "plate 452V");
        assertThat(tube(page, "V1")).containsText("15.6 W");
        assertThat(tube(page, "V1")).containsText("52.1 %");
        assertThat(tube(page, "V1")).containsText("in window");
        assertThat(tube(page, "V1")).containsText("34.6 mA");
        assertThat(tube(page, "V2")).containsText("14.6 W");
        assertThat(tube(page, "V2")).containsText("cold");
        assertThat(page.locator(".sentence")).containsText("V2 is cold: 48.5 %");
        page.keyboard().type("undo");
        page.keyboard().press("Enter");
        assertThat(page.locator(".sentence")).containsText("No plate voltage read yet");
        assertThat(page.locator(".log .struck")).hasCount(1);
        page.context().close();
    }

    @Test
    void anImplausibleReadingIsQuestionedAndAnsweredWithOneKey() {
        Page page = runOn(chromium.laptop(RunningApplication.url()), "Sweet gale", "6L6GC");
        enter(page, "V1 38.2V");
        assertThat(page.locator(".question")).containsText("38.2 A through the tube");
        assertThat(page.locator(".log li")).hasCount(0);
        assertThat(page.locator(".choice").first()).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator(".log .typed").first()).hasText("V1 38.2mV");
        enter(page, "V7 30");
        assertThat(page.locator("#line-answer")).containsText("Its sockets are V1, V2");
        assertThat(page.locator("#line")).hasValue("V7 30");
        page.context().close();
    }

    @Test
    void aVerdictOpensToItsArithmetic() {
        Page page = runOn(chromium.laptop(RunningApplication.url()), "Crowberry", "6L6GC");
        enter(page, "V1 36.4 plate 452");
        tube(page, "V1").locator(".open-verdict").press("Enter");
        Locator opened = page.locator("dialog[open]");
        assertThat(opened).containsText("Pa = Va \u00d7 Ia");
        assertThat(opened).containsText("451.96 V");
        assertThat(opened).containsText("typical for the type");
        assertThat(opened).containsText("Rests on V1 36.4mV at");
        page.keyboard().press("Escape");
        assertThat(page.locator("dialog[open]")).hasCount(0);
        page.context().close();
    }

    @Test
    void aCathodeBiasedQuadOnThePhone() {
        Page page = newAmp(chromium.phone(RunningApplication.url()), "Cloudberry", "EL84");
        page.getByLabel("Bias", new Page.GetByLabelOptions().setExact(true)).selectOption("CATHODE_SHARED");
        assertThat(page.locator("[name='sockets[0].testPoint']")).hasValue("TP");
        page.getByLabel("Power tubes").selectOption("4");
        assertThat(page.locator("[name='sockets[3].label']")).hasValue("V4");
        page.getByLabel("Resistance at the test point").fill("62");
        page.locator("summary", new Page.LocatorOptions().setHasText("How it is read"))
                .tap();
        page.getByLabel("Black lead").selectOption("CATHODE");
        page.getByText("Save the sheet").tap();
        page.getByText("To the run").tap();
        measuring(page);
        for (String line : new String[] {"rk off 61.4", "vk 9.85"}) {
            enter(page, line);
        }
        page.locator("#line").fill("plate 311");
        page.locator("#line").press("Enter");
        assertThat(page.locator("#line-answer")).containsText("Is this one built so?");
        page.getByText("It is built so, up to").tap();
        assertThat(page.locator("#line-answer")).not().isVisible();
        assertThat(tube(page, "V3")).containsText("11.2 W");
        assertThat(tube(page, "V3")).containsText("93.5 %");
        assertThat(tube(page, "V3")).containsText("40.1 \u00b1 0.4 mA");
        assertThat(page.locator("#live")).containsText("hides");
        assertThat(page.locator(".balance")).containsText("cannot be seen");
        assertThat((int) page.evaluate("document.documentElement.scrollWidth")).isLessThanOrEqualTo(390);
        page.context().close();
    }

    @Test
    void aChoiceOthersFollowFromKeepsWhatWasTyped() {
        Page page = newAmp(chromium.laptop(RunningApplication.url()), "Bog myrtle", "KT88");
        page.getByLabel("Topology").selectOption("SINGLE_ENDED");
        assertThat(page.locator("[name='sockets[0].side']")).hasValue("SINGLE");
        assertThat(page.locator("[name=name]")).hasValue("Bog myrtle");
        assertThat(page.locator("[name='target.high']")).hasValue("95");
        assertThat(page.locator("[name='stage.tubeType']")).hasValue("KT88");
        page.context().close();
    }

    @Test
    void twoMomentsStandSideBySide() {
        Page page = runOn(chromium.laptop(RunningApplication.url()), "Bog violet", "6L6GC");
        for (String line : new String[] {"V1 24 V2 23 plate 462", "mark before", "V1 36.4 V2 35 plate 452"}) {
            enter(page, line);
        }
        page.click("text=Before and after");
        assertThat(page.locator("table.compare tbody").first()).containsText("+11.8 \u00b1 0.9 mA");
        assertThat(page.locator("table.compare tbody").first()).containsText("in window");
        page.context().close();
    }

    @Test
    void theThemeIsRemembered() {
        Page page = chromium.page(RunningApplication.url(), 1280, 800, ColorScheme.LIGHT);
        page.navigate("/tubes");
        String daylight = (String) page.evaluate("getComputedStyle(document.body).backgroundColor");
        page.click(".theme button");
        page.waitForLoadState();
        assertThat(page).hasURL(RunningApplication.url() + "/tubes");
        assertThat(page.evaluate("getComputedStyle(document.body).backgroundColor"))
                .isNotEqualTo(daylight);
        page.context().close();
    }

    @Test
    void aMakersOwnFigureStandsBesideThePublishedOne() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/tubes/own?from=6V6GT");
        page.getByLabel("Plate dissipation, most").fill("14");
        page.click("button:has-text('Save')");
        assertThat(page.locator(".fault")).containsText("where the figures come from");
        page.getByLabel("Where the figures come from").fill("the sheet in the box");
        page.click("button:has-text('Save')");
        page.waitForURL("**/tubes");
        assertThat(page.locator("tr:has-text('6V6GT'):has-text('the sheet in the box')"))
                .containsText("14 W");
        assertThat(page.locator("tr:has-text('6V6GT'):has-text('design-centre')"))
                .containsText("12 W");
        page.context().close();
    }
}
