package yellowrail.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;

/**
 * A test in the browser: one Chromium for its methods, and no errors on the console but those of requests that were
 * meant to be refused.
 */
@ExtendWith(RunningApplication.class)
abstract class BrowserTest {

    static Chromium chromium;

    @BeforeAll
    static void open() {
        chromium = new Chromium();
    }

    @AfterAll
    static void close() {
        chromium.close();
    }

    @AfterEach
    void noErrorsOnTheConsole() {
        chromium.errors()
                .removeIf(error -> error.matches(".*status of (404|409|422).*")
                        || error.startsWith("htmx:sendAbort")
                        || error.startsWith("htmx:afterRequest"));
        assertThat(chromium.errors()).isEmpty();
    }
}
