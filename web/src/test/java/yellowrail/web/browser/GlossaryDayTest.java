package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/** A word is touched where it stands. */
class GlossaryDayTest extends BrowserTest {

    @Test
    void aWordIsTouchedAndExplainedWithADrawing() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/tubes");
        assertThat(page.locator("a.term[data-term=design-centre]")).hasCount(1);
        page.locator("a.term[data-term=screen-share]").first().click();
        assertThat(page.locator("#term")).containsText("goes to the screen grid and not to the plate");
        assertThat(page.locator("#term svg")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.locator("#term")).isHidden();
        assertThat(page.url()).endsWith("/tubes");
    }

    @Test
    void byKeyboardInTheOtherVocabularyToo() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/tubes");
        page.locator("button[name=words]").click();
        page.locator("a.term[data-term=screen-share]").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#term")).containsText("goes to the screen grid and not to the anode");
        assertThat(page.locator("#term button")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator("#term")).isHidden();
    }

    /** What is read aloud as it changes, and what is pressed, stays as it is. */
    @Test
    void whatIsReplacedIsMarkedAgainAndNoWordTwice() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/runs/" + NewRun.of("6L6GC") + "?at=measure");
        send(page, "tick all; on 30; V1 36.4 V2 33.9 plate 452");
        assertThat(page.locator("a.term[data-term=supply-line]")).hasCount(1);
        send(page, "note supply line");
        assertThat(page.locator(".log .typed").first()).hasText("note supply line");
        assertThat(page.locator("a.term[data-term=supply-line]")).hasCount(1);
        assertThat(page.locator("[aria-live] a.term, button a.term, label a.term"))
                .hasCount(0);
    }

    @Test
    void theWholeGlossaryIsReadThrough() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate("/glossary#load-line");
        assertThat(page.locator("#load-line svg")).isInViewport();
        assertThat(page.locator("a.term")).hasCount(0);
        assertThat((boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();
    }
}
