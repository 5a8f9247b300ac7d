package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;

@ExtendWith(RunningApplication.class)
class RunServiceTest {

    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final AmpSheet pair = new AmpDefaults(
                    Topology.PUSH_PULL,
                    BiasKind.FIXED_ADJUSTABLE,
                    TubeCatalogue.published().find("6L6GC").orElseThrow(),
                    2,
                    false)
            .sheet();
    private long amp;
    private long run;

    @BeforeEach
    void anAmpWithARun() {
        amp = amps.create(pair);
        run = runs.begin(amp).id();
        enter("tick closed");
    }

    private EntryOutcome enter(String line) {
        return entries.enter(run, line, "bench", false);
    }

    private Moment moment() {
        return runs.timeline(runs.run(run)).present().moment();
    }

    private RunLog log() {
        Run of = runs.run(run);
        return runs.log(of, runs.amp(of));
    }

    private double value(ReadingKind kind, String place) {
        return moment().at(kind, place).orElseThrow().value();
    }

    @Test
    void aSheetComesBackAsItWasSaved() {
        assertThat(amps.newest(amp).sheet()).isEqualTo(pair);
    }

    @Test
    void readingsAreStoredAndJudged() {
        assertThat(enter("V1 36.4 V2 33.9 plate 452")).isEqualTo(new EntryOutcome.Accepted(3, false));
        var tubes = runs.unread(amps.newest(amp)).stage().at(moment());
        assertThat(tubes)
                .extracting(tube -> tube.judgement().verdict())
                .containsExactly(Verdict.IN_WINDOW, Verdict.COLD);
    }

    @Test
    void aQuestionedReadingIsNotStoredUntilAnswered() {
        EntryOutcome.Asked asked = (EntryOutcome.Asked) enter("mains 119; V1 38.2V");
        assertThat(asked.keepFirst()).as("38.2 A are no runaway").isFalse();
        assertThat(asked.choices())
                .first()
                .isEqualTo(
                        new EntryOutcome.Asked.Choice("mains 119V; V1 38.2mV", "Rather mains 119V; V1 38.2mV", false));
        assertThat(moment().isEmpty()).isTrue();
        assertThat(entries.enter(run, "V1 38.2V", "", true)).isEqualTo(new EntryOutcome.Accepted(1, false));
        assertThat(value(ReadingKind.SENSE_VOLTS, "V1")).isEqualTo(38.2);
    }

    @Test
    void aBadLineStoresNothingOfItself() {
        assertThat(enter("V1 36.4; V9 30"))
                .isInstanceOfSatisfying(
                        EntryOutcome.Refused.class,
                        refused -> assertThat(refused.message()).contains("V9").contains("V1, V2"));
        assertThat(log().rows()).isEmpty();
    }

    @Test
    void strikingBringsBackTheReadingBefore() {
        enter("V1 30");
        enter("V1 36.4");
        assertThat(enter("undo")).isEqualTo(new EntryOutcome.Accepted(0, false));
        assertThat(value(ReadingKind.SENSE_VOLTS, "V1")).isEqualTo(0.030);
        enter("undo");
        assertThat(moment().isEmpty()).isTrue();
        assertThat(enter("undo")).isInstanceOf(EntryOutcome.Refused.class);
        assertThat(log().rows()).hasSize(2).allMatch(ReadingRow::struck);
    }

    @Test
    void strikingTwiceOrSomewhereElseChangesNothing() {
        enter("V1 30");
        long id = log().rows().get(0).id();
        entries.strike(run, id);
        entries.strike(run, id);
        assertThat(log().rows()).hasSize(1);
        long another = runs.begin(amps.create(pair)).id();
        assertThatThrownBy(() -> entries.strike(another, id))
                .isInstanceOf(NotFoundException.class)
                .hasMessageContaining("no reading " + id);
    }

    @Test
    void aClosedRunKeepsItsSheetAndTakesNoReadings() {
        enter("V1 36.4");
        runs.close(run);
        amps.save(
                amp,
                1,
                new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED,
                                TubeCatalogue.published().find("EL84").orElseThrow(),
                                2,
                                false)
                        .sheet());
        assertThat(runs.amp(runs.run(run)).sheet().tubeType()).isEqualTo("6L6GC");
        assertThat(enter("V1 30")).isInstanceOf(EntryOutcome.Refused.class);
        assertThat(runs.begin(amp).id()).isNotEqualTo(run);
    }

    @Test
    void beginningTwiceGivesTheOpenRun() {
        assertThat(runs.begin(amp).id()).isEqualTo(run);
    }

    @Test
    void theSecondToSaveASheetIsTold() {
        assertThat(amps.save(amp, 1, pair)).contains(2);
        assertThat(amps.save(amp, 1, pair)).isEmpty();
        assertThat(amps.newest(amp).version()).isEqualTo(2);
    }

    @Test
    void aLongLogCountsThroughTheLastOfEachKind() {
        enter("plate 452");
        for (int i = 0; i < RunService.RECENT + 20; i++) {
            enter("V1 " + (30 + i % 10));
        }
        RunLog log = log();
        assertThat(log.rows()).hasSize(RunService.RECENT);
        assertThat(moment().at(ReadingKind.PLATE, "").orElseThrow().value()).isEqualTo(452);
    }

    @Test
    void whatIsTypedOnOneLineKeepsItsLineItsSheetAndItsDigits() {
        enter("V1 36.40 V2 33.9 plate 452");
        enter("sheet pot RANGE clockwise; V1 37");
        assertThat(log().rows()).extracting(ReadingRow::typed).startsWith("V1 36.40mV", "V2 33.9mV", "plate 452V");
        assertThat(log().readings().stream().map(Reading::line).distinct().count())
                .isEqualTo(2);
        assertThat(log().readings()).extracting(Reading::sheet).containsExactly(1, 1, 1, 2, 2);
        assertThat(log().readings().get(0).entry().lastDigit()).isCloseTo(1e-5, within(1e-12));
    }

    /** The same form sent by a nervous finger. */
    @Test
    void theSameFormIsStoredOnce() {
        String form = UUID.randomUUID().toString();
        assertThat(entries.enter(run, "V1 36.4", "", Sight.NOTHING, null, form))
                .isEqualTo(new EntryOutcome.Accepted(1, false));
        assertThat(entries.enter(run, "V1 36.4", "", Sight.NOTHING, null, form))
                .isEqualTo(new EntryOutcome.Accepted(0, true));
        assertThat(entries.enter(
                        run,
                        "V1 36.4",
                        "",
                        Sight.NOTHING,
                        null,
                        UUID.randomUUID().toString()))
                .isEqualTo(new EntryOutcome.Accepted(1, false));
        assertThat(entries.enter(run, "V1 36.4", "", Sight.NOTHING, null, "no number at all"))
                .isEqualTo(new EntryOutcome.Accepted(1, false));
        assertThat(log().rows()).hasSize(3);
    }

    @Test
    void aLineWithAFaultStoresNothingTicksIncluded() {
        long another = runs.begin(amps.create(pair)).id();
        assertThat(entries.enter(another, "tick load; V9 30", "", false)).isInstanceOf(EntryOutcome.Refused.class);
        assertThat(entries.enter(another, "on", "", false))
                .as("the load is not ticked")
                .isInstanceOf(EntryOutcome.Asked.class);
        assertThat(entries.enter(another, "tick load; on", "", false)).isInstanceOf(EntryOutcome.Accepted.class);
        assertThat(entries.enter(another, "V1 30; undo", "", false)).isInstanceOf(EntryOutcome.Refused.class);
    }

    /**
     * Twelve post as fast as they can, and somebody closes: what was acknowledged stands, and nothing comes in after.
     */
    @Test
    void aClosedRunNeverGainsAReading() throws Exception {
        ExecutorService clients = Executors.newFixedThreadPool(13);
        AtomicInteger stored = new AtomicInteger();
        CountDownLatch started = new CountDownLatch(12);
        for (int client = 0; client < 12; client++) {
            int number = client;
            clients.submit(() -> {
                started.countDown();
                for (int i = 0; i < 40; i++) {
                    if (entries.enter(
                                    run, "V%d %.1f".formatted(1 + number % 2, 36 + i / 100.0), "client " + number, true)
                            instanceof EntryOutcome.Accepted) {
                        stored.incrementAndGet();
                    }
                }
            });
        }
        started.await();
        while (stored.get() < 20) {
            Thread.onSpinWait();
        }
        runs.close(run);
        int whenClosed = runs.rowsBefore(run, Long.MAX_VALUE).size();
        clients.shutdown();
        assertThat(clients.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
        assertThat(runs.rowsBefore(run, Long.MAX_VALUE)).hasSize(whenClosed);
        assertThat(stored.get()).as("whatever was acknowledged stands").isEqualTo(whenClosed);
        assertThat(whenClosed).as("it was closed while they posted").isLessThan(12 * 40);
    }

    @Test
    void twoUndosAtOnceStrikeTwoReadings() throws Exception {
        enter("V1 30");
        enter("V1 31");
        enter("V1 32");
        ExecutorService clients = Executors.newFixedThreadPool(2);
        clients.invokeAll(List.of(() -> enter("undo"), () -> enter("undo")));
        clients.shutdown();
        assertThat(log().rows()).filteredOn(ReadingRow::struck).hasSize(2);
    }

    /** A line that corrects the sheet, while somebody else saves it: stored whole or told, never a failure. */
    @Test
    void aCorrectionAndAnEditedSheetAtTheSameMoment() throws Exception {
        ExecutorService clients = Executors.newFixedThreadPool(2);
        var edits = clients.submit(() -> IntStream.range(0, 60)
                .filter(i -> {
                    Amp newest = amps.newest(amp);
                    return amps.save(amp, newest.version(), newest.sheet().at(110 + i % 20, 10))
                            .isPresent();
                })
                .count());
        var lines = clients.submit(() -> IntStream.range(0, 60)
                .mapToObj(i -> enter("sheet plate up to %d".formatted(510 + i)))
                .toList());
        long stored = lines.get().stream()
                .filter(EntryOutcome.Accepted.class::isInstance)
                .count();
        assertThat(lines.get())
                .allMatch(outcome -> outcome instanceof EntryOutcome.Accepted
                        || outcome instanceof EntryOutcome.Refused refused
                                && refused.message().startsWith("Nothing was stored"));
        assertThat(stored)
                .isPositive()
                .isEqualTo(log().readings().stream()
                        .filter(reading -> reading.kind() == ReadingKind.SHEET)
                        .count());
        assertThat(amps.newest(amp).version()).isEqualTo(1 + (int) (stored + edits.get()));
        clients.shutdown();
    }

    /** What was accepted is in the log that the closing was judged by; what came after is refused, never lost. */
    @Test
    void closingDuringAnEntryLosesNothing() throws Exception {
        for (int round = 0; round < 10; round++) {
            run = runs.begin(amp).id();
            long of = run;
            CountDownLatch together = new CountDownLatch(2);
            ExecutorService clients = Executors.newFixedThreadPool(2);
            var lines = clients.submit(() -> {
                together.countDown();
                together.await();
                return IntStream.range(0, 12)
                        .mapToObj(i -> entries.enter(of, "note round " + i, "bench", false))
                        .toList();
            });
            var closing = clients.submit(() -> {
                together.countDown();
                together.await();
                Thread.sleep(3);
                runs.close(of);
                return null;
            });
            closing.get();
            long accepted = lines.get().stream()
                    .filter(EntryOutcome.Accepted.class::isInstance)
                    .count();
            clients.shutdown();
            assertThat(lines.get().subList((int) accepted, 12)).allMatch(EntryOutcome.Refused.class::isInstance);
            assertThat(runs.readings(of)).hasSize((int) accepted);
            assertThat(runs.run(of).isOpen()).isFalse();
        }
    }

    @Test
    void theTubesOfAnAmpOutlastARun() {
        enter("off; tube V1 5881 A7");
        runs.close(run);
        run = runs.begin(amp).id();
        assertThat(runs.timeline(runs.run(run)).present().occupants())
                .extracting(each -> each.name())
                .containsExactly("5881", "6L6GC");
    }

    /** True and terrible, or a slip: a second Enter never makes it harmless, and never takes volts on. */
    @Test
    void whatMayBeRealIsKeptByTheFirstKey() {
        enter("on 20");
        enter("V1 36.4 V2 33.9 plate 452");
        EntryOutcome.Asked runaway = (EntryOutcome.Asked) enter("V1 145");
        assertThat(runaway.ifReal()).isEqualTo("If it is real: 62.24 W, 207 % of the rating: switch off now.");
        assertThat(runaway.keepFirst()).isTrue();
        EntryOutcome.Asked volts = (EntryOutcome.Asked) enter("plate 540");
        assertThat(volts.choices())
                .filteredOn(EntryOutcome.Asked.Choice::takesOn)
                .singleElement()
                .satisfies(choice -> assertThat(choice.label()).startsWith("It is built so, up to "));
        assertThat(volts.keepFirst()).isTrue();
    }

    /**
     * A screen that reads 5 V with 452 V on the plate was kept: no page fails by it, and those that would use it say
     * that they do not.
     */
    @ParameterizedTest
    @ValueSource(strings = {"/iron", "/load-line", "/swap", "/swap?wants=EL34"})
    void aScreenThatCannotBeOneIsSaidWhereItWouldBeUsed(String page) {
        entries.enter(run, "on 20", "bench", true);
        entries.enter(run, "V1 36.4; V2 33.9; plate 452; screen 5", "bench", true);
        HttpResponse<String> response = new Visitor(RunningApplication.url()).get("/amps/" + amp + page);
        assertThat(response.statusCode()).isEqualTo(200);
        assertThat(response.body()).contains("The screen reading of 5.0 V cannot be one and is not used.");
    }
}
