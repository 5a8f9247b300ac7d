package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.meter.LyingMeter;

/** What was acknowledged is still there after kill -9; what was not stored is said not to be. */
class KilledTest {

    /** The first request to an application that has just started, on a machine that may have other work. */
    private static final LocatorAssertions.HasCountOptions COLD =
            new LocatorAssertions.HasCountOptions().setTimeout(20_000);

    private final List<OwnProcess> started = new ArrayList<>();
    private Path data;

    @BeforeEach
    void folder() throws Exception {
        data = RunningApplication.temporary("yellow-rail-killed");
    }

    @AfterEach
    void leaveNothing() throws Exception {
        for (OwnProcess each : started) {
            each.kill();
        }
        database().ifPresent(ProcessHandle::destroyForcibly);
        RunningApplication.delete(data);
    }

    private OwnProcess start(int port) throws Exception {
        OwnProcess process = OwnProcess.start(data, port);
        started.add(process);
        return process;
    }

    private Optional<ProcessHandle> database() throws Exception {
        Path pid = data.resolve("postgres/postmaster.pid");
        return Files.exists(pid)
                ? ProcessHandle.of(Long.parseLong(Files.readAllLines(pid).get(0).strip()))
                : Optional.empty();
    }

    @Test
    void acknowledgedReadingsSurviveTheKillingOfApplicationAndDatabase() throws Exception {
        int port = RunningApplication.freePort();
        OwnProcess first = start(port);
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(first.url());
            Keys keys = new Keys(page);
            keys.newAmpOnTheBench("Bog rosemary", "6L6GC");
            keys.enter("V1 36.4", "V1 36.4mV");
            keys.enter("V2 33.9", "V2 33.9mV");
            String run = page.url();
            first.kill();
            keys.type("plate 452").press("Enter");
            assertThat(page.locator("#not-stored")).containsText("What you typed is still here");
            assertThat(page.locator("#waiting")).containsText("plate 452");

            OwnProcess second = start(port);
            assertThat(page.locator(".log li")).hasCount(3, COLD);
            assertThat(page.locator(".sentence")).containsText("V2 is cold: 48.5 %");
            assertThat(page.locator("#not-stored")).hasCount(0);
            second.kill();
            ProcessHandle database = database().orElseThrow();
            database.destroyForcibly();
            database.onExit().join();

            start(port);
            page.navigate(run);
            assertThat(page.locator(".log .typed")).containsText(new String[] {"plate 452V", "V2 33.9mV", "V1 36.4mV"});
        }
    }

    @Test
    void aSecondStartSaysWhereTheFirstRunsAndAPortInUseNamesTheRemedy() throws Exception {
        int port = RunningApplication.freePort();
        OwnProcess first = start(port);
        OwnProcess onSameData = OwnProcess.launch(data, RunningApplication.freePort());
        assertThat(onSameData.ended()).isEqualTo(2);
        assertThat(onSameData.said())
                .contains("already runs on the data in " + data)
                .contains("http://127.0.0.1:" + port);
        Path other = RunningApplication.temporary("yellow-rail-other");
        OwnProcess onSamePort = OwnProcess.launch(other, port);
        assertThat(onSamePort.ended()).isEqualTo(2);
        assertThat(onSamePort.said())
                .contains("Port %d is in use".formatted(port))
                .contains("--port " + (port + 1));
        RunningApplication.delete(other);
        first.stop();
        assertThat(first.said()).contains("Stopped.");
        assertThat(database()).isEmpty();
    }

    /** A watch of every second goes on after the application was killed, by itself, with no page open. */
    @Test
    void aWatchGoesOnAfterTheKillingOfTheApplication() throws Exception {
        int port = RunningApplication.freePort();
        OwnProcess first = start(port);
        try (LyingMeter meter = new LyingMeter("0.0364\n", 0)) {
            Visitor visitor = new Visitor(first.url());
            Map<String, String> sheet = new HashMap<>(visitor.form("/amps/new", "/amps"));
            sheet.putAll(Map.of(
                    "name",
                    "Reed warbler",
                    "stage.tubeType",
                    "6L6GC",
                    "link.host",
                    meter.link().host(),
                    "link.port",
                    String.valueOf(meter.link().port())));
            String amp = Visitor.location(visitor.post("/amps", sheet));
            String run = Visitor.location(visitor.post(amp + "/runs", visitor.form(amp, amp + "/runs")));
            for (String line : List.of("tick closed; on", "watch V1 1s 30min")) {
                Map<String, String> typed = new HashMap<>(visitor.form(run + "?at=measure", run + "/readings"));
                typed.put("line", line);
                assertThat(visitor.post(run + "/readings", typed).statusCode()).isEqualTo(302);
            }
            int before = readUntil(visitor, run, 2);
            first.kill();

            Visitor again = new Visitor(start(port).url());
            assertThat(readUntil(again, run, before + 2)).isGreaterThan(before + 1);
        }
    }

    /** How many readings the log shows, once there are so many. */
    private static int readUntil(Visitor visitor, String run, int least) throws InterruptedException {
        int seen = 0;
        for (long end = System.nanoTime() + 30_000_000_000L; seen < least && System.nanoTime() < end; ) {
            seen = visitor.page(run + "/log")
                    .select(".log .typed:contains(V1 36.4mV)")
                    .size();
            Thread.sleep(200);
        }
        assertThat(seen).isGreaterThanOrEqualTo(least);
        return seen;
    }
}
