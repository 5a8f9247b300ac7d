package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.Thorough;
import yellowrail.core.reading.Reading;
import yellowrail.core.replay.RandomLog;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.timeline.Log;
import yellowrail.web.Nonsense;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.words.BundledWords;
import yellowrail.web.words.Words;

/** Whatever is typed, every page of the run and of its amp stands, in words and numbers. */
@ExtendWith(RunningApplication.class)
class RandomLogPagesTest {

    private static final int LOGS = Thorough.of(5_000, 500);
    private static final int WHOLE_PAGES = Thorough.of(15, 4);
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-03-03T12:00:00Z"), ZoneOffset.UTC);

    @Test
    void everyLogHasAView() {
        Words words = BundledWords.read();
        List<String> wrong = Collections.synchronizedList(new ArrayList<>());
        Run run = new Run(1, 1, OffsetDateTime.now(NOON), null, null, 0, false);
        IntStream.range(2 * LOGS, 3 * LOGS).parallel().forEach(seed -> {
            RandomLog random = new RandomLog(seed);
            try {
                Log log = random.play().log();
                RunLog rows = new RunLog(
                        log.catalogue(),
                        log.versions(),
                        log.before(),
                        log.readings().stream().map(RandomLogPagesTest::row).toList());
                Station at = Station.values()[seed % Station.values().length];
                Nonsense.in(RunView.of(
                                        RunNow.of(run, rows),
                                        new RunProgress(log.newest().sheet(), List.of()),
                                        at,
                                        0.1,
                                        words,
                                        NOON)
                                .toString())
                        .ifPresent(each -> wrong.add("%s at %s: %s".formatted(random, at, each)));
            } catch (RuntimeException e) {
                wrong.add("%s: %s at %s".formatted(random, e, e.getStackTrace()[0]));
            }
        });
        assertThat(wrong).isEmpty();
    }

    private static ReadingRow row(Reading reading) {
        return new ReadingRow(
                1,
                reading.id(),
                reading.kind().name(),
                reading.entry().target(),
                reading.value(),
                reading.entry().words(),
                "as typed",
                "bench",
                reading.takenAt().atOffset(ZoneOffset.UTC),
                false,
                reading.sheet(),
                reading.line(),
                reading.entry().lastDigit(),
                false,
                reading.recorded());
    }

    @Test
    void theWholePagesOfSome() {
        AmpService amps = RunningApplication.bean(AmpService.class);
        RunService runs = RunningApplication.bean(RunService.class);
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        Visitor visitor = new Visitor(RunningApplication.url());
        List<String> wrong = new ArrayList<>();
        for (int seed = 3 * LOGS; seed < 3 * LOGS + WHOLE_PAGES; seed++) {
            RandomLog random = new RandomLog(seed);
            long amp = amps.create(random.sheet());
            long run = runs.begin(amp).id();
            entries.enter(run, "tick closed", "bench", false);
            random.play(
                    sheet -> amps.save(amp, amps.newest(amp).version(), sheet),
                    (index, at, line, confirmed) -> entries.enter(run, line, "bench", confirmed));
            Stream<String> pages = Stream.concat(
                    Stream.of(Station.values()).map(station -> "/runs/" + run + "?at=" + station.token()),
                    Stream.of(
                            "/amps/" + amp,
                            "/amps/" + amp + "/edit",
                            "/amps/" + amp + "/iron",
                            "/amps/" + amp + "/load-line",
                            "/amps/" + amp + "/swap",
                            "/amps/" + amp + "/swap?wants=EL34",
                            "/runs/" + run + "/log",
                            "/runs/" + run + "/tubes/"
                                    + amps.newest(amp).sheet().sockets().get(0).label()));
            pages.forEach(page -> {
                HttpResponse<String> response = visitor.get(page);
                if (response.statusCode() != 200) {
                    wrong.add("%s: %s gives %d".formatted(random, page, response.statusCode()));
                }
                Nonsense.in(response.body())
                        .ifPresent(each -> wrong.add("%s: %s has %s".formatted(random, page, each)));
            });
        }
        assertThat(wrong).isEmpty();
    }
}
