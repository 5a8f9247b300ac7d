package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.function.BooleanSupplier;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.amp.Topology;
import yellowrail.core.reading.MeterLog;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.meter.LyingMeter;

/** The soak as its station shows it, from readings of a logging meter and of one that is watched. */
@ExtendWith(RunningApplication.class)
class SoakPagesTest {

    private static final AmpSheet PAIR = new AmpDefaults(
                    Topology.PUSH_PULL,
                    BiasKind.FIXED_ADJUSTABLE,
                    TubeCatalogue.published().find("6L6GC").orElseThrow(),
                    2,
                    false)
            .sheet();

    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final MeterFiles files = RunningApplication.bean(MeterFiles.class);
    private final Visitor visitor = new Visitor(RunningApplication.url());
    private long id;

    @BeforeEach
    void aPair() {
        on(PAIR);
    }

    private void on(AmpSheet sheet) {
        id = runs.begin(amps.create(sheet)).id();
        entries.enter(id, "tick closed", "", false);
    }

    private void type(String line) {
        assertThat(entries.enter(id, line, "", true)).isInstanceOf(EntryOutcome.Accepted.class);
    }

    /** A logger's file that ends now: so many minutes, every 20 s. */
    private static String csv(double minutes, double rate, long seed, Instant end) {
        Random chance = new Random(seed);
        StringBuilder text = new StringBuilder();
        for (double t = 0; t <= minutes; t += 1.0 / 3) {
            text.append(String.format(
                    Locale.ROOT,
                    "%s,%.3f,mV%n",
                    end.minus(Duration.ofMillis(Math.round(60_000 * (minutes - t)))),
                    36.4 * (1 + rate / 100 * t) * (1 + 0.002 * chance.nextGaussian())));
        }
        return text.toString();
    }

    private String put(String csv, String where) {
        MeterLog log = files.parse(id, csv);
        assertThat(log.faults()).isEmpty();
        return files.enterLog(id, log, where);
    }

    private Document soak() {
        return Jsoup.parse(visitor.get("/runs/" + id + "?at=soak").body());
    }

    @Test
    void curvesVerdictsAndWhatToDoAboutThem() {
        type("plate 440");
        Instant now = Instant.now();
        put(csv(30, 0.5, 1, now), "V1");
        put(csv(30, 0, 2, now), "V2");

        Document page = soak();

        assertThat(page.select("[data-point=V1]").attr("data-state")).isEqualTo("creeping");
        assertThat(page.select("[data-point=V2]").attr("data-state")).isEqualTo("steady");
        assertThat(page.select(".soak .map svg .fit")).hasSize(2);
        assertThat(page.select(".soak .map svg .soak-reading").size()).isGreaterThan(100);
        assertThat(page.select(".whose").text()).contains("type swap V1 V2");
        assertThat(Jsoup.parse(visitor.get("/runs/" + id + "?at=set").body())
                        .select(".move-sentence")
                        .text())
                .contains("V1 moves by", "no move on it");
    }

    /** However much was brought after it: no station, list or question forgets a tube that creeps. */
    @Test
    void aCreepStandsBehindALongFileOfAnotherMeter() {
        type("plate 440");
        Instant now = Instant.now();
        put(csv(30, 0.5, 1, now), "V1");
        put(csv(80, 0, 2, now), "V2");
        assertThat(runs.readings(id)).hasSizeGreaterThanOrEqualTo(RunService.RECENT);

        assertThat(Jsoup.parse(visitor.get("/runs/" + id + "?at=set").body())
                        .select(".move-sentence")
                        .text())
                .contains("V1 moves by", "no move on it");
        assertThat(soak().select(".sentence").text()).contains("V1 creeps up");
        Run run = runs.run(id);
        assertThat(runs.standings(List.of(run)).get(run).trouble()).hasSize(1);
        assertThat(entries.enter(id, "turn RANGE anticlockwise", "", false)).isInstanceOf(EntryOutcome.Asked.class);
    }

    /** Between two readings by hand a pot was turned; the meter's file tells of before, and is brought afterwards. */
    @Test
    void aFileBroughtAfterATurnTellsOfBefore() {
        assertThat(entries.enter(
                        id,
                        "V1 36.4 V2 36.4 plate 440",
                        "",
                        true,
                        OffsetDateTime.now().minusMinutes(20)))
                .isInstanceOf(EntryOutcome.Accepted.class);
        type("turn RANGE anticlockwise");
        assertThat(entries.enter(id, "V1 30 V2 30 plate 445", "second bench", true))
                .isInstanceOf(EntryOutcome.Accepted.class);
        put(csv(15, 0, 1, Instant.now().minusSeconds(240)), "V1");

        assertThat(runs.timeline(runs.run(id))
                        .present()
                        .moment()
                        .current("V1")
                        .orElseThrow()
                        .value())
                .isEqualTo(0.030);
        assertThat(soak().select("[name=by]").val()).as("a meter is nobody").isEqualTo("second bench");
    }

    @Test
    void percentIsKeptByTheBrowser() {
        type("V1 36.4 V2 36.4 plate 440");
        assertThat(soak().select("#soak-scale").val()).isEqualTo("percent");
        Map<String, String> form = visitor.form("/runs/" + id + "?at=soak", "/soak/scale");
        form.put("scale", "percent");
        visitor.post("/soak/scale", form);
        assertThat(soak().select("#soak-scale").val()).isEqualTo("unit");
        form.put("scale", "unit");
        visitor.post("/soak/scale", form);
        assertThat(soak().select("#soak-scale").val()).isEqualTo("percent");
    }

    @Test
    void aFileThatIsPutOnTheRunTwiceCountsOnce() {
        String csv = csv(10, 0, 1, Instant.now());
        assertThat(put(csv, "V1")).isEmpty();
        long rows = runs.readings(id).size();
        assertThat(put(csv, "V1")).contains("31 of 31 rows");
        assertThat(put(csv + csv(1, 0, 2, Instant.now().plusSeconds(120)), "V1"))
                .contains("31 of 35 rows");
        assertThat(runs.readings(id)).hasSize((int) rows + 4);
    }

    @Test
    void anAlarmStandsOnEveryPage() {
        type("V1 36.4 V2 36.4 plate 440");
        assertThat(visitor.get("/drawer").body()).doesNotContain("runs/" + id + "?at=soak");
        Instant now = Instant.now();
        StringBuilder csv = new StringBuilder();
        for (int i = 0; i <= 60; i++) {
            csv.append(String.format(
                    Locale.ROOT,
                    "%s,%.3f,mV%n",
                    now.minusSeconds(20L * (60 - i)),
                    36.4 * (1 + 0.01 * Math.expm1(i / 15.0))));
        }
        put(csv.toString(), "V1");

        assertThat(visitor.get("/drawer").body()).contains("V1 runs away: faster and faster");
        assertThat(visitor.get("/alarms").statusCode()).isEqualTo(200);
        assertThat(visitor.get("/alarms").body()).contains("/runs/" + id + "?at=soak");
        type("off");
        assertThat(visitor.get("/alarms").body()).doesNotContain("/runs/" + id + "?at=soak");
    }

    private static void until(BooleanSupplier holds) {
        long end = System.nanoTime() + 20_000_000_000L;
        while (!holds.getAsBoolean() && System.nanoTime() < end) {
            try {
                Thread.sleep(100);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        assertThat(holds.getAsBoolean()).isTrue();
    }

    private void withMeter(MeterLink link) {
        on(PAIR.with(link));
    }

    private long readings() {
        return runs.readings(id).stream()
                .filter(reading -> reading.entry().isCurrent())
                .count();
    }

    @Test
    void aWatchedMeterIsReadByItselfUntilItIsTold() throws IOException {
        try (LyingMeter meter = new LyingMeter("0.0364\n", 0)) {
            withMeter(meter.link());
            type("on");
            Map<String, String> form =
                    new HashMap<>(visitor.form("/runs/" + id + "?at=soak", "/runs/" + id + "/watch"));
            form.putAll(Map.of("place", "V1", "every", "1s", "howLong", "5min"));
            visitor.post("/runs/" + id + "/watch", form);
            until(() -> readings() >= 3);
            assertThat(soak().select(".watch").text()).contains("The meter on V1 is read every 1 s", "Last V1 36.4mV");
            type("off");
            until(() -> soak().select(".watch .fault").text().contains("the watch waits"));
            type("watch off");
            long then = readings();
            assertThat(soak().select("#watch-begin")).hasSize(1);
            assertThat(readings()).isEqualTo(then);
        }
    }

    /** 3.64 V on a test point of millivolts would be asked about: it does not count the first time. */
    @Test
    void aReadingThatWouldBeAskedAboutCountsOnlyWhenTheNextSaysTheSame() throws IOException {
        try (LyingMeter meter = new LyingMeter("3.64\n", 0)) {
            withMeter(meter.link());
            type("watch V1 10min 20min");
            until(() -> !soak().select(".watch .fault").text().isEmpty());
            assertThat(soak().select(".watch .fault").text()).contains("It counts if the next one says the same");
            assertThat(readings()).isZero();
            type("watch V1 1s 20min");
            until(() -> readings() >= 1);
            type("watch off");
        }
    }

    @Test
    void aMeterThatDoesNotAnswerIsSaidToBeSo() {
        withMeter(new MeterLink("127.0.0.1", 1));
        type("watch V1 1s 1min");
        until(() -> soak().select(".watch .fault").text().contains("127.0.0.1:1"));
        type("watch off");
    }

    @ParameterizedTest
    @CsvSource({
        "watch,does not say what to watch",
        "watch V9,does not say what to watch",
        "watch V1 0.5s,every 1 s to every 10 min",
        "watch V1 20s 2000min,at most 24 h",
        "watch V1 20x,does not say what to watch",
        "watch V1 20s 10min 5min,does not say what to watch"
    })
    void aWatchThatCannotBeIsSaidToBeSo(String line, String why) {
        withMeter(new MeterLink("127.0.0.1", 1));
        assertThat(entries.enter(id, line, "", false))
                .isInstanceOfSatisfying(
                        EntryOutcome.Refused.class,
                        refused -> assertThat(refused.message()).contains(why));
    }

    @Test
    void withoutAMeterThePageReminds() {
        type("on");
        type("V1 36.4 V2 36.4 plate 440");
        assertThat(entries.enter(id, "watch V1", "", false))
                .isInstanceOfSatisfying(
                        EntryOutcome.Refused.class,
                        refused -> assertThat(refused.message()).contains("names no meter on the network"));
        assertThat(soak().select("[data-remind-at]").attr("data-point")).isEqualTo("V1");
        assertThat(soak().select("[data-remind-at]").text()).contains("10 min after the setting");
    }
}
