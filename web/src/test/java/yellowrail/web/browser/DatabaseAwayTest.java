package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.Cookie;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** The database goes away under a running application, and what was typed meanwhile is there when it is back. */
class DatabaseAwayTest {

    private static final LocatorAssertions.HasCountOptions SOON =
            new LocatorAssertions.HasCountOptions().setTimeout(30_000);
    private static final LocatorAssertions.ContainsTextOptions SOON_TEXT =
            new LocatorAssertions.ContainsTextOptions().setTimeout(30_000);

    private Path data;
    private OwnProcess application;

    @BeforeEach
    void start() throws Exception {
        data = RunningApplication.temporary("yellow-rail-away");
        application = OwnProcess.start(data, RunningApplication.freePort(), "--lan=127.0.0.2");
    }

    @AfterEach
    void leaveNothing() throws Exception {
        application.stop();
        RunningApplication.delete(data);
    }

    private ProcessHandle server() throws Exception {
        String pid = Files.readAllLines(data.resolve("postgres/postmaster.pid")).get(0);
        return ProcessHandle.of(Long.parseLong(pid.strip())).orElseThrow();
    }

    /** Kills the server and takes away what it cannot start without. */
    private void takeAway() throws Exception {
        Files.move(control(), data.resolve("control-aside"));
        ProcessHandle server = server();
        server.destroyForcibly();
        server.onExit().join();
    }

    private void bringBack() throws Exception {
        Files.move(data.resolve("control-aside"), control());
    }

    private Path control() {
        return data.resolve("postgres/global/pg_control");
    }

    @Test
    void whatIsTypedWhileTheDatabaseIsAwayIsStoredOnceItIsBack() throws Exception {
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(application.url());
            Keys keys = new Keys(page);
            keys.newAmpOnTheBench("Sedge", "6L6GC");
            keys.enter("V1 36.4", "V1 36.4mV");
            takeAway();

            keys.type("V2 33.9").press("Enter");
            assertThat(page.locator("#not-stored"))
                    .containsText("The database has stopped. It is being started again.");
            keys.type("plate 452").press("Enter");
            assertThat(page.locator("#waiting")).containsText("V2 33.9 \u00b7 plate 452");
            Page second = page.context().newPage();
            page.context().addCookies(List.of(new Cookie("theme", "dim").setUrl(application.url())));
            second.navigate(application.url() + "/");
            assertThat(second.locator("main")).containsText("The database has stopped");
            assertThat(second.locator("html[data-theme=dim][lang=en]")).hasCount(1);

            bringBack();
            assertThat(page.locator(".log .typed")).hasCount(3, SOON);
            assertThat(page.locator(".log .typed")).containsText(new String[] {"plate 452V", "V2 33.9mV", "V1 36.4mV"});
            assertThat(page.locator("#not-stored, #waiting")).hasCount(0);
            assertThat(second.locator("main")).containsText("Sedge", SOON_TEXT);
        }
    }

    @Test
    void aSheetThatIsSavedMeanwhileIsKeptOnThePageAndSavedByItself() throws Exception {
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(application.url());
            page.navigate("/amps/new");
            page.locator("[name=name]").fill("Bittern");
            takeAway();
            page.locator("#save").click();
            Locator kept = page.locator("main");
            assertThat(kept).containsText("What you typed is still here");
            page.locator("summary:has-text('What you typed')").click();
            assertThat(kept).containsText("Bittern");

            bringBack();
            page.waitForURL(Pattern.compile(".*/amps/\\d+.*"), new Page.WaitForURLOptions().setTimeout(30_000));
            assertThat(page.locator("h1")).containsText("Bittern");
            page.navigate("/");
            assertThat(page.locator("main").getByText("Bittern")).hasCount(1);
        }
    }

    @Test
    void programsAreToldToo() throws Exception {
        Visitor visitor = new Visitor(application.url());
        takeAway();
        long begun = System.nanoTime();
        HttpResponse<String> page = visitor.get("/drawer");
        assertThat(page.statusCode()).isEqualTo(503);
        assertThat(page.headers().firstValue("Retry-After")).hasValue("2");
        assertThat(visitor.get("/actuator/health").body()).contains("\"status\":\"DOWN\"");
        HttpResponse<String> answer = visitor.postJson("/api/tubes/match", "{}");
        assertThat(answer.statusCode()).isIn(400, 404);
        assertThat(System.nanoTime() - begun).as("nobody waits for long").isLessThan(15_000_000_000L);
        bringBack();
        for (int i = 0; i < 100 && visitor.get("/actuator/health").statusCode() != 200; i++) {
            Thread.sleep(200);
        }
        assertThat(visitor.get("/drawer").statusCode()).isEqualTo(200);
        assertThat(application.said()).doesNotContain("\tat ").doesNotContain("Exception");
    }

    @Test
    void aDeviceThatNobodyCanKnowMeanwhileIsToldWhy() throws Exception {
        try (Chromium chromium = new Chromium()) {
            String lan = application.url().replace("http://127.0.0.1", "https://127.0.0.2");
            Page phone = chromium.phone(lan);
            phone.context().addCookies(List.of(new Cookie("__Host-device", "never-seen").setUrl(lan)));
            takeAway();
            Response answer = phone.navigate("/drawer");
            assertThat(answer.status()).isEqualTo(503);
            assertThat(answer.headerValue("retry-after")).isEqualTo("2");
            assertThat(phone.locator("main")).containsText("The database has stopped");
            bringBack();
            phone.waitForURL(lan + "/device", new Page.WaitForURLOptions().setTimeout(30_000));
        }
    }

    @Test
    void aServerThatIsHaltedRunsOnAndNobodyNotices() throws Exception {
        Visitor visitor = new Visitor(application.url());
        visitor.get("/");
        String all = server().descendants().map(child -> " " + child.pid()).reduce("" + server().pid(), String::concat);
        new ProcessBuilder("sh", "-c", "kill -STOP " + all).start().waitFor();
        assertThat(visitor.get("/").statusCode()).isEqualTo(200);
        Map<String, String> sheet = visitor.form("/amps/new", "/amps");
        assertThat(sheet).isNotEmpty();
    }
}
