package yellowrail.web.browser;

import com.microsoft.playwright.Page;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** Measures what a builder waits for at the bench and prints it: {@code ./yellow-rail bench}. Nothing is asserted. */
@ExtendWith(RunningApplication.class)
class PageBenchmark {

    private static final int READINGS = 10_000;
    private static final int REPEATS = 200;
    private static final int WARM_UP = 200;

    @Test
    void theRunPageWithManyReadings() throws Exception {
        String run = runWithManyReadings();
        Visitor visitor = new Visitor(RunningApplication.url());
        List<Double> milliseconds = new ArrayList<>();
        for (int i = 0; i < REPEATS + WARM_UP; i++) {
            long begun = System.nanoTime();
            visitor.get(run);
            if (i >= WARM_UP) {
                milliseconds.add((System.nanoTime() - begun) / 1e6);
            }
        }
        Timings.print(
                "run page with %,d readings, after %d requests".formatted(READINGS, WARM_UP),
                milliseconds,
                "ms",
                "45 ms at the median");
    }

    @Test
    void aReadingTypedToTheViewChanged() throws Exception {
        String run = runWithManyReadings();
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(RunningApplication.url());
            page.navigate(run);
            List<Double> milliseconds = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                page.locator("#line").fill("V1 " + (30 + i / 10.0) + "mV");
                double took = ((Number) page.evaluate("""
                        () => new Promise(changed => {
                          const begun = performance.now();
                          document.body.addEventListener("htmx:afterSwap",
                           () => requestAnimationFrame(() => changed(performance.now() - begun)), {once: true});
                          document.querySelector("form.line").requestSubmit();
                        })""")).doubleValue();
                page.waitForTimeout(30);
                if (i >= 10) {
                    milliseconds.add(took);
                }
            }
            Timings.print("reading entered to the view changed, in the browser", milliseconds, "ms", "150 ms");
        }
    }

    @Test
    void aDragOfTheLoadLineToTheAnswer() {
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(RunningApplication.url());
            page.navigate(amp() + "/load-line");
            page.waitForSelector(".watts");
            List<Double> milliseconds = new ArrayList<>();
            for (int i = 0; i < 160; i++) {
                double took = ((Number) page.evaluate("""
                        part => new Promise(drawn => {
                          const begun = performance.now();
                          document.addEventListener("loadline:drawn",
                           () => requestAnimationFrame(() => drawn(performance.now() - begun)), {once: true});
                          const slider = document.querySelector("input[data-for=load]");
                          slider.value = part;
                          slider.dispatchEvent(new Event("input", {bubbles: true}));
                        })""", 300 + (i * 37) % 500)).doubleValue();
                if (i >= 40) {
                    milliseconds.add(took);
                }
            }
            Timings.print(
                    "load line dragged to the answer on the screen",
                    milliseconds,
                    "ms",
                    "100 ms at the 95th percentile");
        }
    }

    private static String amp() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Dragged");
        return Visitor.location(visitor.post("/amps", form));
    }

    private static String runWithManyReadings() throws Exception {
        Visitor visitor = new Visitor(RunningApplication.url());
        String amp = amp();
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        String run = Visitor.location(visitor.post(amp + "/runs", Map.of("_csrf", form.get("_csrf"))));
        try (Connection connection = RunningApplication.bean(DataSource.class).getConnection();
                var insert = connection.prepareStatement("""
                     INSERT INTO reading (run_id, sheet_version, kind, target, value, typed, taken_at, entered_at)
                     SELECT ?, 1, CASE i % 3 WHEN 0 THEN 'PLATE' ELSE 'SENSE_VOLTS' END,
                      CASE i % 3 WHEN 0 THEN '' WHEN 1 THEN 'V1' ELSE 'V2' END,
                            CASE i % 3 WHEN 0 THEN 430 + i % 17 ELSE 0.030 + (i % 11) / 1000.0 END, 'typed ' || i,
                             now() - make_interval(secs => 10000 - i), now()
                     FROM generate_series(1, ?) i""")) {
            insert.setLong(1, Long.parseLong(run.replaceAll("\\D", "")));
            insert.setInt(2, READINGS);
            insert.executeUpdate();
            // Readings that came one by one would have been counted by the server long ago.
            connection.createStatement().execute("VACUUM ANALYZE reading");
        }
        visitor.post(run + "/readings", Map.of("_csrf", form.get("_csrf"), "line", "tick closed"));
        return run + "?at=measure";
    }
}
