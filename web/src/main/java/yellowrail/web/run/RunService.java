package yellowrail.web.run;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Plausibility;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.tubes.TubeService;

/** Begins and closes runs, takes their readings, and puts together what they amount to. */
@Service
public class RunService {

    /** Readings that the map and the pages follow one by one; older ones count through the last of each kind. */
    static final int RECENT = 200;
    private static final int LONGEST_NAME = 40;

    private final RunMapper mapper;
    private final AmpService amps;
    private final TubeService tubes;
    private final Clock clock;

    RunService(RunMapper mapper, AmpService amps, TubeService tubes, Clock clock) {
        this.mapper = mapper;
        this.amps = amps;
        this.tubes = tubes;
        this.clock = clock;
    }

    /** @return the open run of this amp, begun now if there was none */
    @Transactional
    public Run begin(long ampId) {
        amps.newest(ampId);
        mapper.begin(ampId);
        return mapper.newestOf(ampId).orElseThrow();
    }

    @Transactional(readOnly = true)
    public Optional<Run> newestOf(long ampId) {
        return mapper.newestOf(ampId);
    }

    @Transactional(readOnly = true)
    public List<Run> ofAmp(long ampId) {
        return mapper.ofAmp(amps.newest(ampId).id());
    }

    /** Closes a run and pins the sheet it was judged by. */
    @Transactional
    public void close(long runId) {
        Run run = run(runId);
        mapper.close(runId, amp(run).version());
    }

    /**
     * Takes a typed line.
     *
     * @param line      what was typed; the word undo strikes the last reading
     * @param byWhom    who measured
     * @param confirmed whether a question about it has been answered: it counts as typed
     */
    @Transactional
    public EntryOutcome enter(long runId, String line, String byWhom, boolean confirmed) {
        return enter(runId, line, byWhom, confirmed, OffsetDateTime.now(clock));
    }

    /** The same for readings taken at another time, as they stand in somebody's notebook. */
    @Transactional
    public EntryOutcome enter(long runId, String line, String byWhom, boolean confirmed, OffsetDateTime taken) {
        Run run = run(runId);
        String typed = line == null ? "" : line.strip();
        if (!run.isOpen()) {
            return new EntryOutcome.Refused(typed, "This run is closed. Start a new one to take readings.");
        }
        if (typed.toLowerCase(Locale.ROOT).equals("undo")) {
            return undo(runId, typed);
        }
        AmpSheet sheet = amp(run).sheet();
        List<Entry> entries;
        try {
            entries = new EntryLine(sheet).parse(typed);
        } catch (BadEntryException e) {
            return new EntryOutcome.Refused(typed, e.getMessage());
        }
        Optional<EntryOutcome> question = confirmed ? Optional.empty() : question(runId, sheet, entries, typed);
        if (question.isPresent()) {
            return question.get();
        }
        entries.forEach(entry -> mapper.add(row(runId, sheet, entry, name(byWhom), taken)));
        return new EntryOutcome.Accepted(entries.size());
    }

    private static NewReading row(long runId, AmpSheet sheet, Entry entry, String byWhom, OffsetDateTime taken) {
        boolean earlier = entry.kind() == ReadingKind.POWER_ON;
        OffsetDateTime takenAt = earlier ? taken.minus(Duration.ofSeconds(Math.round(60 * entry.value()))) : taken;
        return new NewReading(runId, entry.kind().name(), entry.target(), earlier ? 0 : entry.value(), entry.words(),
                Plausibility.line(entry, sheet), byWhom, takenAt, null);
    }

    private static String name(String byWhom) {
        String name = byWhom == null ? "" : byWhom.replaceAll("\\p{Cntrl}", "").strip();
        return name.substring(0, name.offsetByCodePoints(0, Math.min(LONGEST_NAME, name.codePointCount(0, name.length()))));
    }

    /** The first of the entries that cannot be meant; each is held against the log and the entries before it. */
    private Optional<EntryOutcome> question(long runId, AmpSheet sheet, List<Entry> entries, String typed) {
        Moment moment = moment(runId, Long.MAX_VALUE);
        for (int i = 0; i < entries.size(); i++) {
            Optional<Question> question = new Plausibility(sheet, stage(sheet).rating(), moment).question(entries.get(i));
            if (question.isPresent()) {
                List<String> choices = new ArrayList<>();
                for (Question.Suggestion suggestion : question.get().suggestions()) {
                    List<Entry> instead = new ArrayList<>(entries);
                    instead.set(i, suggestion.entry());
                    choices.add(String.join("; ", instead.stream().map(entry -> Plausibility.line(entry, sheet)).toList()));
                }
                return Optional.of(new EntryOutcome.Asked(typed, question.get().asks(), choices));
            }
            moment = moment.after(new Reading(Long.MAX_VALUE - entries.size() + i, entries.get(i), clock.instant()));
        }
        return Optional.empty();
    }

    private EntryOutcome undo(long runId, String typed) {
        Optional<ReadingRow> last = mapper.newest(runId, Long.MAX_VALUE, RECENT).stream().filter(row -> !row.struck()).findFirst();
        if (last.isEmpty()) {
            return new EntryOutcome.Refused(typed, "There is nothing to undo.");
        }
        strike(runId, last.get().id());
        return new EntryOutcome.Accepted(0);
    }

    /** Strikes a reading: it stays in the log and counts no more. Striking it again changes nothing. */
    @Transactional
    public void strike(long runId, long readingId) {
        if (!run(runId).isOpen()) {
            return;
        }
        ReadingRow row = mapper.row(runId, readingId)
                .orElseThrow(() -> new NotFoundException("There is no reading %d in run %d.".formatted(readingId, runId)));
        mapper.add(NewReading.strike(runId, row.id(), OffsetDateTime.now(clock)));
    }

    /** @throws NotFoundException if there is no such run */
    @Transactional(readOnly = true)
    public Run run(long id) {
        return mapper.run(id).orElseThrow(() -> new NotFoundException("There is no run " + id + "."));
    }

    /** The amp as this run sees it: by its newest sheet while open, by the pinned one when closed. */
    @Transactional(readOnly = true)
    public Amp amp(Run run) {
        return run.isOpen() ? amps.newest(run.ampId()) : amps.version(run.ampId(), run.sheetVersion());
    }

    /** The stage of an amp, ready to judge. */
    public StageIdle stage(AmpSheet sheet) {
        return new StageIdle(sheet, tubes.catalogue().find(sheet.tubeType()).orElseThrow(() ->
                new IllegalStateException("The tube type %s is in no catalogue".formatted(sheet.tubeType()))));
    }

    /** Where a run stands, in a sentence and in its worst tube. */
    @Transactional(readOnly = true)
    public StageSummary summary(Run run) {
        StageIdle stage = stage(amp(run).sheet());
        return new StageSummary(stage, stage.at(moment(run.id(), Long.MAX_VALUE)));
    }

    /** What counted when this row had been entered. */
    @Transactional(readOnly = true)
    public Moment moment(long runId, long upTo) {
        return new Moment(mapper.latestOfEach(runId, upTo).stream().map(ReadingRow::reading).toList());
    }

    /** The log as far as the pages follow it one by one. */
    @Transactional(readOnly = true)
    RunLog log(long runId) {
        List<ReadingRow> rows = new ArrayList<>(mapper.newest(runId, Long.MAX_VALUE, RECENT));
        Collections.reverse(rows);
        Moment before = rows.size() < RECENT ? new Moment(List.of()) : moment(runId, rows.get(0).id() - 1);
        return new RunLog(before, rows, mapper.count(runId));
    }

    @Transactional(readOnly = true)
    List<ReadingRow> rowsBefore(long runId, long before) {
        run(runId);
        return mapper.newest(runId, before, RECENT);
    }
}
