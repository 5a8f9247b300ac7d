package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** Every action of a run has a key. */
class KeysTest extends BrowserTest {

    private Page page;

    @BeforeEach
    void aPairReadTwice() {
        RunService runs = RunningApplication.bean(RunService.class);
        long amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("6L6GC").orElseThrow(),
                                2,
                                false)
                        .sheet());
        long run = runs.begin(amp).id();
        for (String line : new String[] {"tick closed", "V1 24 V2 24 plate 462", "V1 35 V2 35 plate 451.5"}) {
            RunningApplication.bean(RunEntries.class).enter(run, line, "bench", true);
        }
        page = chromium.laptop(RunningApplication.url());
        page.navigate("/runs/" + run + "?at=set");
        assertThat(page.locator("#line")).isFocused();
    }

    private void key(String key) {
        new Keys(page).press(key);
    }

    @Test
    void theListOpensWithAQuestionMarkAlsoFromTheEmptyLine() {
        key("?");
        assertThat(page.locator("#keys[open]")).containsText("across the bench");
        assertThat(page.locator("#line")).hasValue("");
        key("Escape");
        assertThat(page.locator("#keys[open]")).hasCount(0);
        page.locator("#line").fill("note why");
        key("?");
        assertThat(page.locator("#line")).hasValue("note why?");
    }

    /** The application takes a second over each: three lines sent and half of another typed meanwhile, none is lost. */
    @Test
    void aLineTypedWhileTheOneBeforeIsOnItsWayIsNotLost() {
        page.route("**/readings", route -> {
            page.waitForTimeout(600);
            route.resume();
        });
        for (String line : new String[] {"note one", "note two", "note three"}) {
            page.locator("#line").pressSequentially(line);
            page.keyboard().press("Enter");
        }
        page.locator("#line").pressSequentially("note hal");

        assertThat(page.locator(".log")).containsText("note three");
        assertThat(page.locator("#line")).hasValue("note hal");
        List<String> notes = page.locator(".log").allInnerTexts();
        String log = String.join("", notes);
        assertTrue(log.indexOf("note three") < log.indexOf("note two"), log);
        assertTrue(log.indexOf("note two") < log.indexOf("note one"), log);
        page.unroute("**/readings");
        page.locator("#line").pressSequentially("f");
        page.keyboard().press("Enter");
        assertThat(page.locator(".log")).containsText("note half");
        assertThat(page.locator("#line")).hasValue("");
    }

    /** A question that comes while the next line is being typed is not answered by that line's Enter. */
    @Test
    void theEnterOfTheNextLineAnswersNoQuestion() {
        page.route("**/readings", route -> {
            page.waitForTimeout(600);
            route.resume();
        });
        page.locator("#line").fill("V1 35000");
        page.keyboard().press("Enter");
        page.locator("#line").pressSequentially("plat");
        assertThat(page.locator(".question")).isVisible();
        assertThat(page.locator("#line")).hasValue("plat");
        page.keyboard().type("e 451");
        page.keyboard().press("Enter");
        assertThat(page.locator("#waiting")).containsText("plate 451");
        assertThat(page.locator("#line")).isFocused();
        assertThat(page.locator("#line")).hasValue("V1 35000");
        page.keyboard().type("V1 35.1");
        page.keyboard().press("Enter");
        assertThat(page.locator(".log")).containsText("plate 451V");
        assertThat(page.locator(".log")).containsText("V1 35.1mV");
    }

    @Test
    void acrossTheBenchThereIsTheOneFigureToWatch() {
        key("Escape");
        key("a");
        assertThat(page.locator("#across .across-figure")).containsText(" mV");
        assertThat(page.locator("#across .across-what")).containsText("turn until V1 reads");
        assertThat(page.locator("#across .across-now")).hasText("now 35.0 mV");
        double height = ((Number)
                        page.evaluate("document.querySelector('.across-figure').getBoundingClientRect().height"))
                .doubleValue();
        assertTrue(height > 200, "letters as tall as the screen allows, were " + height);
    }

    @Test
    void undoArithmeticAndBeforeAndAfterHaveTheirKeys() {
        key("Escape");
        key("u");
        assertThat(page.locator(".log .struck")).hasCount(1);
        assertThat(page.locator("#line")).isFocused();
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
        key("Escape");
        key("o");
        assertThat(page.locator("#opened[open]")).containsText("Ik = V / R");
        key("Escape");
        key("c");
        page.waitForURL("**/compare");
        key("4");
        assertThat(page.locator(".rail li.here a span")).hasText("power up");
        assertThat(page.locator("#line")).isFocused();
        key("Escape");
        key("b");
        assertThat(page).hasURL(RunningApplication.url() + "/");
    }

    @Test
    void theNextMoveIsSpokenByTheBrowser() {
        page.evaluate("() => { window.heard = []; speechSynthesis.speak = said => window.heard.push(said.text); }");
        key("Escape");
        key("v");
        String heard = (String) page.evaluate("window.heard.join()");
        assertTrue(
                heard.contains("until V1 reads 44") && heard.contains("millivolts") && heard.contains("volts"), heard);
    }
}
