package yellowrail.web.run;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.mistake.Mistakes;
import yellowrail.core.mistake.Situation;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.MeterLog;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Question;
import yellowrail.core.station.RunProgress;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.web.amp.Amp;
import yellowrail.web.once.Once;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** Takes the files of logging meters. */
@Service
class MeterFiles {

    private final RunMapper mapper;
    private final RunService runs;
    private final RunLogs logs;
    private final StationService stations;
    private final SafetyGate gate;
    private final Words words;
    private final Once once;
    private final Clock clock;

    MeterFiles(
            RunMapper mapper,
            RunService runs,
            RunLogs logs,
            StationService stations,
            SafetyGate gate,
            Words words,
            Once once,
            Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.logs = logs;
        this.stations = stations;
        this.gate = gate;
        this.words = words;
        this.once = once;
        this.clock = clock;
    }

    /** A logging meter's file, its times read by this run's clock. */
    @Transactional(readOnly = true)
    public MeterLog parse(long runId, String text) {
        Clock benchClock = runs.run(runId).clock(clock);
        return MeterLog.parse(text, benchClock.instant(), benchClock.getZone());
    }

    /**
     * Takes a logging meter's readings, all or none.
     *
     * @param where its lead was, as it would begin on the entry line
     * @return what was wrong; blank if all were stored
     */
    @Transactional
    public String enterLog(long runId, MeterLog log, String where) {
        mapper.lock(runId);
        Run run = runs.run(runId);
        Amp amp = runs.amp(run);
        if (!run.isOpen()) {
            return words.message("run.closed");
        }
        if (log.rows().isEmpty() || log.rows().size() > MeterLog.MOST_ROWS) {
            return log.rows().isEmpty()
                    ? words.message("run.file-empty")
                    : words.message("run.file-too-long", MeterLog.MOST_ROWS);
        }
        Situation alone = new Situation(
                new Log(logs.catalogue(), List.of(new SheetVersion(1, amp.sheet())), Moment.EMPTY, List.of()),
                run.clock(clock).instant(),
                List.of());
        RunProgress progress = stations.progress(runId, amp.sheet());
        List<NewReading> readings = new ArrayList<>();
        for (MeterLog.Row row : log.rows()) {
            for (Entry entry : new EntryLine(amp.sheet()).parse((where + " " + row.typed()).strip())) {
                Optional<EntryOutcome> held = readings.isEmpty()
                        ? gate.held(progress, Set.of(), List.of(entry), row.typed())
                        : Optional.empty();
                if (held.isPresent()) {
                    return held.get() instanceof EntryOutcome.Held waits ? gate.inWords(waits.items()) : "";
                }
                Optional<Question> question = Mistakes.implausible(entry, alone);
                if (question.isPresent()) {
                    return words.message(
                            "run.file-line",
                            row.line(),
                            words.say(question.get().asks()));
                }
                readings.add(NewReading.recorded(
                        runId,
                        amp,
                        entry,
                        row.at().atZone(clock.getZone()).toOffsetDateTime(),
                        OffsetDateTime.now(clock)));
            }
        }
        List<NewReading> others = isTaken(runId, log, where) ? List.of() : notYetThere(runId, readings);
        others.forEach(mapper::add);
        return others.size() == readings.size()
                ? ""
                : words.message("run.file-again", readings.size() - others.size(), readings.size());
    }

    /** Whether this very file was put on the run before: one that counts seconds tells other times each time. */
    private boolean isTaken(long runId, MeterLog log, String where) {
        Instant first = log.rows().get(0).at();
        String file = log.rows().stream()
                .map(row -> Duration.between(first, row.at()).toMillis() + " " + row.typed())
                .collect(Collectors.joining("\n", runId + " " + where + "\n", ""));
        String form =
                UUID.nameUUIDFromBytes(file.getBytes(StandardCharsets.UTF_8)).toString();
        return !once.take(form, runId);
    }

    /** What of these readings the run does not have: a file put on it twice, or a longer one of the same meter. */
    private List<NewReading> notYetThere(long runId, List<NewReading> readings) {
        OffsetDateTime first = readings.stream()
                .map(NewReading::takenAt)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        OffsetDateTime last = readings.stream()
                .map(NewReading::takenAt)
                .max(Comparator.naturalOrder())
                .orElseThrow();
        Set<List<Object>> known = mapper.takenBetween(runId, first, last).stream()
                .map(row -> key(row.kind(), row.target(), row.takenAt(), row.value()))
                .collect(Collectors.toSet());
        return readings.stream()
                .filter(each -> !known.contains(key(each.kind(), each.target(), each.takenAt(), each.value())))
                .toList();
    }

    private static List<Object> key(String kind, String target, OffsetDateTime taken, double value) {
        return List.of(kind, target, taken.toInstant().truncatedTo(ChronoUnit.MILLIS), value);
    }
}
