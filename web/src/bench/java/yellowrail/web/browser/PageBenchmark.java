package yellowrail.web.browser;

import com.microsoft.playwright.Page;
import java.sql.Connection;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.Hangs;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

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

    /** Every node but a few read before, the mains among them. */
    @Test
    void aWalkRoundTwoHundredNodes() {
        AmpService amps = RunningApplication.bean(AmpService.class);
        long amp = Long.parseLong(amp().replaceAll("\\D", ""));
        amps.save(amp, 1, amps.newest(amp).sheet().with(chart()));
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        entries.enterAsFound(run, "mains 118.5", OffsetDateTime.now());
        for (ChartNode node : chart().nodes()) {
            entries.enterAsFound(run, node.typed() + " 197.4", OffsetDateTime.now());
        }
        Visitor visitor = new Visitor(RunningApplication.url());
        visitor.post(
                "/runs/" + run + "/readings",
                Map.of("_csrf", visitor.form("/amps/new", "/amps").get("_csrf"), "line", "tick closed"));
        List<Double> pages = new ArrayList<>();
        for (int i = 0; i < REPEATS + WARM_UP; i++) {
            long begun = System.nanoTime();
            visitor.get("/runs/" + run + "/walk");
            if (i >= WARM_UP) {
                pages.add((System.nanoTime() - begun) / 1e6);
            }
        }
        Timings.print("walk round 200 nodes, the whole page", pages, "ms", "drawing, verdicts and audit in 30 ms");
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(RunningApplication.url());
            page.navigate("/runs/" + run + "/walk?node=at+N0+plate");
            List<Double> milliseconds = new ArrayList<>();
            for (int i = 0; i < 120; i++) {
                page.locator("#volts").fill("19%d.4".formatted(i % 10));
                double took = ((Number) page.evaluate("""
                        () => new Promise(changed => {
                          const begun = performance.now();
                          document.body.addEventListener("htmx:afterSwap",
                           () => requestAnimationFrame(() => changed(performance.now() - begun)), {once: true});
                          document.querySelector(".probe-form").requestSubmit();
                        })""")).doubleValue();
                page.waitForTimeout(30);
                if (i >= 20) {
                    milliseconds.add(took);
                }
            }
            Timings.print(
                    "volts entered to the drawing of 200 nodes changed, in the browser",
                    milliseconds,
                    "ms",
                    "150 ms at the 95th percentile");
        }
    }

    private static VoltageChart chart() {
        List<ChartNode> nodes = new ArrayList<>();
        for (int i = 0; i < VoltageChart.MOST_NODES; i++) {
            nodes.add(new ChartNode(
                    "N%d %s".formatted(i, i % 20 == 0 ? "supply" : "plate"),
                    i % 20 == 0 ? NodeKind.SUPPLY : NodeKind.PLATE,
                    false,
                    Optional.of(Expected.of(200, Expected.Source.SCHEMATIC, OptionalDouble.of(120))),
                    i % 20 == 0 ? "" : "N" + i,
                    "",
                    i == 0
                            ? Optional.empty()
                            : Optional.of(new Feed(
                                    "N%d supply".formatted(i % 20 == 0 ? i - 20 : i - i % 20),
                                    Optional.of(Resistor.of(47e3)),
                                    false)),
                    Optional.empty(),
                    Optional.empty(),
                    Hangs.NOTHING,
                    Channel.MONO));
        }
        return new VoltageChart(nodes);
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
