package yellowrail.web.recheck;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** When an amp is looked at again, and what is said then. */
@ExtendWith(RunningApplication.class)
class RecheckPagesTest {

    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final RecheckService rechecks = RunningApplication.bean(RecheckService.class);
    private final Visitor visitor = new Visitor(RunningApplication.url());
    private long amp;

    @BeforeEach
    void anAmp() {
        amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("6L6GC").orElseThrow(),
                                2,
                                false)
                        .sheet()
                        .with(new Identity("Marsh; cinquefoil, red", "", "")));
    }

    private long run(OffsetDateTime at, String... lines) {
        long id = runs.begin(amp).id();
        assertThat(entries.enter(id, "tick closed", "", true)).isInstanceOf(EntryOutcome.Accepted.class);
        for (String line : lines) {
            assertThat(entries.enter(id, line, "", true, at)).isInstanceOf(EntryOutcome.Accepted.class);
        }
        return id;
    }

    private void closed(String... lines) {
        runs.close(run(OffsetDateTime.now(), lines));
    }

    @Test
    void aRunThatIsClosedPlansWhenToLookAgain() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        assertThat(rechecks.openOf(amp)).as("nobody watched it soak").hasSize(7);
        assertThat(Jsoup.parse(visitor.get("/").body()).text()).contains("look again");

        closed("tube V1 6L6GC new", "on 15", "mains 120", "V1 44 V2 43 plate 452");
        assertThat(rechecks.openOf(amp)).hasSize(7);
    }

    @Test
    void oldTubesThatStoodThroughTheirSoakAreNotLookedAtEveryDay() {
        long run = run(OffsetDateTime.now().minusMinutes(40), "on", "mains 120", "V1 44 V2 43 plate 452");
        for (int minutes = 38; minutes >= 0; minutes -= 2) {
            assertThat(entries.enter(
                            run, "V1 44 V2 43", "", true, OffsetDateTime.now().minusMinutes(minutes)))
                    .isInstanceOf(EntryOutcome.Accepted.class);
        }
        runs.close(run);
        assertThat(kinds()).containsExactly("minutes", "week", "month", "quarter");
    }

    private List<String> kinds() {
        return rechecks.openOf(amp).stream().map(RecheckRow::kind).toList();
    }

    @Test
    void aLookThatFindsItAsItWasLeftLeavesTheOthersPlanned() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        rechecks.openOf(amp).stream()
                .filter(row -> row.kind().equals("minutes"))
                .forEach(row -> rechecks.drop(amp, row.id()));
        closed("on 15", "mains 120", "V1 44.2 V2 43.1 plate 452");
        assertThat(kinds()).containsExactly("first-day", "second-day", "third-day", "week", "month", "quarter");

        closed("on 15", "mains 120", "V1 44.2 V2 37 plate 455");
        assertThat(kinds()).as("it moved: all anew").hasSize(7);

        rechecks.openOf(amp).forEach(row -> rechecks.drop(amp, row.id()));
        closed("on 15", "mains 120", "V1 44.2 V2 37 plate 455");
        assertThat(kinds()).as("it stands").containsExactly("quarter");
    }

    @Test
    void aRunWithoutASettingPlansNothing() {
        closed("mains 120");
        assertThat(rechecks.openOf(amp)).isEmpty();
    }

    @Test
    void aReadingTicksOffWhatIsDueByThen() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        run(OffsetDateTime.now().plusDays(6), "on 15", "V1 44 plate 452");
        assertThat(rechecks.openOf(amp)).extracting(RecheckRow::kind).containsExactly("month", "quarter");
    }

    @Test
    void itIsHeldAgainstHowItWasLeft() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        run(OffsetDateTime.now(), "on 15", "mains 120");
        assertThat(since()).contains("it is held against how it was left");
        run(OffsetDateTime.now(), "V1 44.2 V2 43.1 plate 452");
        assertThat(since()).contains("It stands as it was left", "V1 +0.5 %");
        run(OffsetDateTime.now(), "V1 44.2 V2 37 plate 455");
        assertThat(since()).contains("It moved since it was left: V2 most, by -13");
    }

    private String since() {
        return Jsoup.parse(visitor.get("/amps/" + amp + "/since").body()).text();
    }

    @Test
    void aLookIsMovedAndDropped() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        RecheckRow first = rechecks.openOf(amp).get(0);
        assertThat(change(first, Map.of("what", "move", "day", "2031-12-24")).statusCode())
                .isEqualTo(302);
        assertThat(rechecks.openOf(amp))
                .last()
                .extracting(row -> row.dueAt().getYear())
                .isEqualTo(2031);
        assertThat(change(first, Map.of("what", "move", "day", "+999999-12-24")).statusCode())
                .isEqualTo(422);
        HttpResponse<String> bad = change(first, Map.of("what", "move", "day", "tomorrow"));
        assertThat(bad.statusCode()).isEqualTo(422);
        assertThat(bad.body()).contains("tomorrow", "is no day");
        HttpResponse<String> second = change(first, Map.of("what", "move", "day", "2032-01-01"));
        assertThat(second.statusCode()).as("it was moved since").isEqualTo(409);
        assertThat(second.body()).contains("It was moved meanwhile", "2031-12-24");
        assertThat(change(first, Map.of("what", "drop")).statusCode()).isEqualTo(302);
        assertThat(rechecks.openOf(amp)).hasSize(6);
        assertThat(visitor.post("/amps/999999/rechecks/1", form(Map.of("what", "drop")))
                        .statusCode())
                .isEqualTo(404);
    }

    private HttpResponse<String> change(RecheckRow row, Map<String, String> fields) {
        Map<String, String> form = form(fields);
        form.put("was", row.dueAt().toInstant().toString());
        return visitor.post("/amps/" + amp + "/rechecks/" + row.id(), form);
    }

    private Map<String, String> form(Map<String, String> fields) {
        Map<String, String> form = visitor.form("/amps/" + amp, "/amps/" + amp + "/runs");
        form.putAll(fields);
        return form;
    }

    /** By another library than the one that wrote it. */
    @Test
    void theCalendarFileIsReadByAnother() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        HttpResponse<String> answer = visitor.get("/amps/" + amp + "/looks.ics");
        assertThat(answer.headers().firstValue("content-type").orElseThrow()).startsWith("text/calendar");
        ICalendar calendar = Biweekly.parse(answer.body()).first();
        assertThat(calendar.getVersion().toString()).contains("2.0");
        List<VEvent> events = calendar.getEvents();
        List<RecheckRow> rows = rechecks.openOf(amp);
        assertThat(events).hasSameSizeAs(rows);
        for (int i = 0; i < rows.size(); i++) {
            VEvent event = events.get(i);
            assertThat(event.getSummary().getValue()).isEqualTo("Look at Marsh; cinquefoil, red again");
            assertThat(event.getDateStart().getValue().toInstant())
                    .isCloseTo(rows.get(i).dueAt().toInstant(), within());
            assertThat(event.getDuration().getValue().toMillis())
                    .isEqualTo(Duration.ofMinutes(15).toMillis());
            assertThat(event.getUrl().getValue()).endsWith("/amps/" + amp);
        }
        assertThat(events.stream().map(event -> event.getUid().getValue()).distinct())
                .hasSameSizeAs(rows);
        assertThat(answer.body()).contains("\r\n").doesNotContain("TZID");
        assertThat(Biweekly.parse(visitor.get("/looks.ics").body()).first().getEvents())
                .hasSizeGreaterThanOrEqualTo(rows.size());
    }

    private static org.assertj.core.data.TemporalUnitOffset within() {
        return new org.assertj.core.data.TemporalUnitWithinOffset(1, java.time.temporal.ChronoUnit.SECONDS);
    }

    @Test
    void theLabelSaysWhen() {
        closed("on 15", "mains 120", "V1 44 V2 43 plate 452");
        long run = runs.newestOf(amp).orElseThrow().id();
        assertThat(visitor.page("/runs/" + run + "/label")
                        .select(".chassis-label")
                        .text())
                .contains("look again");
    }
}
