package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.postgres.PrivatePostgres;

/** The database has stored what was sent and its answer is lost: what is sent again by itself is not stored twice. */
class LostAnswerTest {

    private static final LocatorAssertions.ContainsTextOptions SOON =
            new LocatorAssertions.ContainsTextOptions().setTimeout(30_000);

    @Test
    void whatWasStoredWithoutAnAnswerIsStoredOnce() throws Exception {
        Path data = RunningApplication.temporary("yellow-rail-wire");
        try (PrivatePostgres postgres = PrivatePostgres.start(data);
                LossyWire wire = new LossyWire(postgres.port());
                Chromium chromium = new Chromium()) {
            Map<String, Object> found = postgres.properties();
            OwnProcess application = OwnProcess.launch(
                            Map.of(
                                    "SPRING_DATASOURCE_URL",
                                    "jdbc:postgresql://127.0.0.1:" + wire.port() + "/yellowrail?preferQueryMode=simple",
                                    "SPRING_DATASOURCE_USERNAME",
                                    found.get("spring.datasource.username").toString(),
                                    "SPRING_DATASOURCE_PASSWORD",
                                    found.get("spring.datasource.password").toString()),
                            data,
                            RunningApplication.freePort())
                    .awaited();
            try {
                aLineAndASheet(chromium.laptop(application.url()), application.url(), wire);
                assertThat(application.said()).doesNotContain("\tat ");
            } finally {
                application.kill();
            }
        } finally {
            RunningApplication.delete(data);
        }
    }

    private static void aLineAndASheet(Page page, String url, LossyWire wire) {
        Keys keys = new Keys(page);
        keys.newAmpOnTheBench("Reedling", "6L6GC");
        String run = page.url();
        wire.loseNextAnswer();
        keys.type("V1 36.4").press("Enter");
        assertThat(page.locator("#live")).containsText("Stored already", SOON);
        assertThat(wire.hasLost()).isTrue();
        page.navigate(run);
        assertThat(page.locator(".log .typed")).hasCount(1);

        page.navigate(url + "/amps/new");
        page.locator("[name=name]").fill("Crake");
        wire.loseNextAnswer();
        page.locator("#save").click();
        assertThat(page.locator("main")).containsText("It is stored", SOON);
        assertThat(wire.hasLost()).isTrue();
        page.navigate(url + "/");
        assertThat(page.locator("main").getByText("Crake")).hasCount(1);
    }
}
