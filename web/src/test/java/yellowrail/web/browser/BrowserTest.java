package yellowrail.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;

/**
 * A test in the browser: what each method opens ends with it, and no errors on the console but those of requests that
 * were meant to be refused.
 */
@ExtendWith(RunningApplication.class)
abstract class BrowserTest {

    static Chromium chromium;

    @BeforeEach
    void open() {
        chromium = new Chromium();
    }

    @AfterEach
    void noErrorsOnTheConsole() {
        chromium.close();
        chromium.errors()
                .removeIf(error -> error.matches(".*status of (404|409|422).*")
                        || error.startsWith("htmx:sendAbort")
                        || error.startsWith("htmx:afterRequest"));
        assertThat(chromium.errors()).isEmpty();
    }

    /** Takes from the console what a browser without a connection says of that. */
    static void wasOffline() {
        chromium.errors()
                .removeIf(error -> error.contains("ERR_INTERNET_DISCONNECTED") || error.contains("htmx:sendError"));
    }

    /** Types a tube type and leaves the field; the form has followed when this returns. */
    static void typed(Locator field, String type) {
        if (!field.inputValue().equals(type)) {
            field.page().waitForResponse("**/amps/form", () -> {
                field.fill(type);
                field.blur();
            });
        }
    }

    /** Types a line on a run and presses Enter, whatever comes of it. */
    static void send(Page page, String line) {
        page.locator("#line").fill(line);
        page.locator("#line").press("Enter");
    }

    /** Takes hold of the first of what is chosen and moves it so far, px, in ten steps. */
    static void drag(Page page, String what, double dx, double dy) {
        Locator handle = page.locator(what).first();
        handle.scrollIntoViewIfNeeded();
        BoundingBox box = handle.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 10; i++) {
            page.mouse().move(x + dx * i / 10, y + dy * i / 10);
        }
        page.mouse().up();
    }
}
