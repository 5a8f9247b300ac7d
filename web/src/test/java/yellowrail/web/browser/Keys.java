package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;

/** Hands that never leave the keyboard. */
final class Keys {

    private static final int ENOUGH = 200;

    private final Page page;

    Keys(Page page) {
        this.page = page;
    }

    /** Tabs until a link or button with these words has the focus. */
    Keys tabTo(String words) {
        return tabUntil("document.activeElement.textContent.trim() === '" + words + "'", words);
    }

    Keys tabToField(String name) {
        return tabUntil("document.activeElement.name === '" + name + "'", name);
    }

    private Keys tabUntil(String reached, String what) {
        for (int i = 0; i < ENOUGH; i++) {
            if ((boolean) page.evaluate(reached)) {
                return this;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("the Tab key never reaches " + what);
    }

    Keys type(String text) {
        page.keyboard().type(text);
        return this;
    }

    /** Presses a key once the page listens: nobody is as fast as a test. */
    Keys press(String key) {
        page.locator("html[data-listening=yes]")
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
        page.keyboard().press(key);
        return this;
    }

    /** From the bench to the entry line of a first run on a new amp. */
    void newAmpOnTheBench(String name, String type) {
        page.navigate("/");
        boolean first = page.locator("#put-mine").isVisible();
        tabTo(first ? "Put my amp on the bench" : "Put a new amp on the bench").press("Enter");
        page.waitForURL("**/amps/new");
        tabToField("name").type(name);
        tabToField("stage.tubeType").type(type);
        page.waitForResponse("**/amps/form", () -> page.keyboard().press("Tab"));
        settled().tabTo("Save the sheet").press("Enter");
        assertThat(page.locator("button:has-text('To the run')")).isFocused();
        press("Enter");
        page.waitForURL("**/runs/*");
        assertThat(page.locator("#done")).isFocused();
        station(2);
        while (page.locator("#live .ticks li:not(.fact) [aria-checked=false]").count() > 0) {
            int before = page.locator("[aria-checked=true]").count();
            press("t");
            assertThat(page.locator("[aria-checked=true]")).hasCount(before + 1);
        }
        station(5);
        assertThat(page.locator("#line")).isFocused();
    }

    /** To a station by its key. */
    Keys station(int number) {
        press("Escape");
        press(String.valueOf(number));
        assertThat(page.locator(".rail li.here a[data-key='" + number + "']")).hasCount(1);
        page.waitForLoadState();
        return this;
    }

    /** Types a line and waits until it is acknowledged: it stands in the log. */
    void enter(String line, String stored) {
        type(line).press("Enter");
        assertThat(page.locator(".log .typed").first()).hasText(stored);
        assertThat(page.locator("#line")).isFocused();
    }

    /** Waits for a form that is being drawn again. */
    Keys settled() {
        assertThat(page.locator("#save")).isEnabled();
        return this;
    }
}
