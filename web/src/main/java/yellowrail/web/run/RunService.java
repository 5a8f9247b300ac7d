package yellowrail.web.run;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.mistake.Mistakes;
import yellowrail.core.mistake.Situation;
import yellowrail.core.quantity.Quantity;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.MeterLog;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Plausibility;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.reading.SheetCorrection;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Safety;
import yellowrail.core.station.SafetyItem;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.station.StationService;
import yellowrail.web.tubes.TubeService;

/** Begins and closes runs, takes their readings, and puts together what they amount to. */
@Service
public class RunService {

    /** Readings that the map and the pages follow one by one; older ones count through the last of each kind. */
    static final int RECENT = 200;
    /** Readings that a mistake is recognised from. */
    private static final int LOOKED_BACK = 60;
    private static final int LONGEST_NAME = 40;
    private static final Pattern TICK = Pattern.compile("(?is)tick\\s+([\\w-]+)\\s*(?:;\\s*(.*))?");
    /** What can be read without a lead inside the chassis, or with the power off. */
    private static final Set<ReadingKind> LIVE = EnumSet.complementOf(EnumSet.of(ReadingKind.MAINS, ReadingKind.RESISTOR_COLD, ReadingKind.TURN, ReadingKind.TUBE,
            ReadingKind.SHEET, ReadingKind.POWER_ON, ReadingKind.POWER_OFF, ReadingKind.NOTE, ReadingKind.MARK));

    private final RunMapper mapper;
    private final AmpService amps;
    private final TubeService tubes;
    private final StationService stations;
    private final Clock clock;

    RunService(RunMapper mapper, AmpService amps, TubeService tubes, StationService stations, Clock clock) {
        this.stations = stations;
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

    /** The same for readings taken at another time, as they stand in somebody's notebook or on a practice bench. */
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
        Amp amp = amp(run);
        Matcher tick = TICK.matcher(typed);
        if (tick.matches()) {
            Optional<SafetyItem> item = stations.progress(runId, amp.sheet()).item(tick.group(1).toLowerCase(Locale.ROOT));
            if (item.isEmpty()) {
                return new EntryOutcome.Refused(typed, "There is no item %s to tick.".formatted(Quantity.quote(tick.group(1))));
            }
            stations.tick(runId, item.get(), true);
            return tick.group(2) == null || tick.group(2).isBlank() ? new EntryOutcome.Accepted(0) : enter(runId, tick.group(2), byWhom, confirmed, taken);
        }
        try {
            return take(run, amp, typed, name(byWhom), confirmed, taken);
        } catch (BadEntryException e) {
            return new EntryOutcome.Refused(typed, e.getMessage());
        }
    }

    private EntryOutcome take(Run run, Amp amp, String typed, String byWhom, boolean confirmed, OffsetDateTime taken) {
        List<Entry> entries = new EntryLine(amp.sheet()).parse(typed);
        Optional<EntryOutcome> held = held(run.id(), amp.sheet(), entries, typed)
                .or(() -> confirmed ? Optional.empty() : question(run.id(), amp.sheet(), entries, typed, taken));
        if (held.isPresent()) {
            return held.get();
        }
        AmpSheet sheet = corrected(amp, entries);
        List<Entry> meant = sheet.equals(amp.sheet()) ? entries : new EntryLine(sheet).parse(typed);
        meant.forEach(entry -> mapper.add(row(run.id(), sheet, entry, byWhom, taken)));
        return new EntryOutcome.Accepted(meant.size());
    }

    /** What makes the amp unsafe to read: nothing live before the safety items are ticked. */
    private Optional<EntryOutcome> held(long runId, AmpSheet sheet, List<Entry> entries, String typed) {
        RunProgress progress = stations.progress(runId, sheet);
        List<SafetyItem> missing = progress.missing();
        if (!missing.isEmpty() && entries.stream().anyMatch(entry -> LIVE.contains(entry.kind()))) {
            return Optional.of(new EntryOutcome.Refused(typed, "Not before it is safe. Still to tick at %s: %s.".formatted(missing.get(0).station().inWords(),
                    missing.stream().map(SafetyItem::text).collect(Collectors.joining("; ")))));
        }
        boolean on = entries.stream().anyMatch(entry -> entry.kind() == ReadingKind.POWER_ON);
        boolean loaded = progress.isTicked(Safety.LOAD) || progress.isTicked(Safety.CLOSED);
        return on && !loaded ? Optional.of(new EntryOutcome.Asked(typed, "No load on the output? Without a speaker or a dummy load the output transformer and the tubes are at risk.",
                List.of("tick load; " + typed))) : Optional.empty();
    }

    /** The sheet with the corrections of this line, saved if there are any. */
    private AmpSheet corrected(Amp amp, List<Entry> entries) {
        AmpSheet sheet = amp.sheet();
        for (Entry entry : entries) {
            if (entry.kind() == ReadingKind.SHEET) {
                sheet = SheetCorrection.parse(entry.words(), sheet).sheet();
            }
        }
        if (!sheet.equals(amp.sheet()) && amps.save(amp.id(), amp.version(), sheet).isEmpty()) {
            throw new BadEntryException("Somebody saved the sheet at this moment. Type it again.");
        }
        return sheet;
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

    /** The first of the entries that cannot be meant, or tells of a mistake; each is held against the log and the entries before it. */
    private Optional<EntryOutcome> question(long runId, AmpSheet sheet, List<Entry> entries, String typed, OffsetDateTime taken) {
        List<Reading> recent = new ArrayList<>(mapper.newest(runId, Long.MAX_VALUE, LOOKED_BACK).stream().filter(row -> !row.struck()).map(ReadingRow::reading).toList());
        Collections.reverse(recent);
        Situation situation = new Situation(stage(sheet), moment(runId, Long.MAX_VALUE), recent, taken.toInstant());
        for (int i = 0; i < entries.size(); i++) {
            Optional<Question> question = question(entries.get(i), situation);
            if (question.isPresent()) {
                List<String> choices = new ArrayList<>();
                for (Question.Suggestion suggestion : question.get().suggestions()) {
                    List<Entry> instead = new ArrayList<>(entries.subList(0, i));
                    instead.addAll(suggestion.entries());
                    instead.addAll(entries.subList(i + 1, entries.size()));
                    choices.add(String.join("; ", instead.stream().map(entry -> Plausibility.line(entry, sheet)).toList()));
                }
                return Optional.of(new EntryOutcome.Asked(typed, question.get().asks(), choices));
            }
            situation = situation.after(entries.get(i));
        }
        return Optional.empty();
    }

    /** A number that cannot be is asked about first; only a bias of the other kind tells more than its size. */
    private static Optional<Question> question(Entry entry, Situation situation) {
        Plausibility plausibility = new Plausibility(situation.stage().sheet(), situation.stage().rating(), situation.before());
        return entry.kind() == ReadingKind.BIAS ? Mistakes.question(entry, situation).or(() -> plausibility.question(entry))
                : plausibility.question(entry).or(() -> Mistakes.question(entry, situation));
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

    /** A logging meter's file, its times read by this run's clock. */
    @Transactional(readOnly = true)
    public MeterLog parse(long runId, String text) {
        Clock benchClock = run(runId).clock(clock);
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
        Run run = run(runId);
        AmpSheet sheet = amp(run).sheet();
        if (!run.isOpen()) {
            return "This run is closed. Start a new one to take readings.";
        }
        if (log.rows().isEmpty() || log.rows().size() > MeterLog.MOST_ROWS) {
            return log.rows().isEmpty() ? "The file has no rows." : "The file has more than %d rows. Cut it to the part you need.".formatted(MeterLog.MOST_ROWS);
        }
        Plausibility plausibility = new Plausibility(sheet, stage(sheet).rating(), new Moment(List.of()));
        List<NewReading> readings = new ArrayList<>();
        for (MeterLog.Row row : log.rows()) {
            for (Entry entry : new EntryLine(sheet).parse((where + " " + row.typed()).strip())) {
                Optional<Question> question = plausibility.question(entry);
                Optional<EntryOutcome> held = readings.isEmpty() ? held(runId, sheet, List.of(entry), row.typed()) : Optional.empty();
                if (held.isPresent() || question.isPresent()) {
                    return held.map(outcome -> outcome instanceof EntryOutcome.Refused refused ? refused.message() : "")
                            .orElseGet(() -> "Nothing was stored: line %d: %s".formatted(row.line(), question.get().asks()));
                }
                readings.add(row(runId, sheet, entry, "logging meter", row.at().atZone(clock.getZone()).toOffsetDateTime()));
            }
        }
        readings.forEach(mapper::add);
        return "";
    }

    /** A line from somebody's notebook: nothing is probed for it, and nobody asks about it. */
    @Transactional
    public void enterAsFound(long runId, String line, OffsetDateTime taken) {
        AmpSheet sheet = amp(run(runId)).sheet();
        new EntryLine(sheet).parse(line).forEach(entry -> mapper.add(row(runId, sheet, entry, "notebook", taken)));
    }

    /** Sets a practice bench's clock, s ahead of the wall's. */
    @Transactional
    public void setClock(long runId, double offset) {
        mapper.setClock(runId, offset);
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

    /** The test points that no current was ever read at. */
    @Transactional(readOnly = true)
    public List<String> unread(Run run) {
        Moment moment = moment(run.id(), Long.MAX_VALUE);
        return amp(run).sheet().testPoints().stream().filter(point -> moment.at(ReadingKind.SENSE_VOLTS, point).or(() -> moment.at(ReadingKind.SENSE_AMPS, point)).isEmpty()).toList();
    }

    /** What counted when this row had been entered. */
    @Transactional(readOnly = true)
    public Moment moment(long runId, long upTo) {
        return new Moment(mapper.latestOfEach(runId, upTo).stream().map(ReadingRow::reading).toList());
    }

    /** The recent readings that count, in the order of entry. */
    @Transactional(readOnly = true)
    public List<Reading> readings(long runId) {
        return log(runId).readings();
    }

    /** The log as far as the pages follow it one by one. */
    @Transactional(readOnly = true)
    RunLog log(long runId) {
        List<ReadingRow> rows = new ArrayList<>(mapper.newest(runId, Long.MAX_VALUE, RECENT));
        Collections.reverse(rows);
        Moment before = rows.size() < RECENT ? new Moment(List.of()) : moment(runId, rows.get(0).id() - 1);
        return new RunLog(before, rows);
    }

    @Transactional(readOnly = true)
    List<ReadingRow> rowsBefore(long runId, long before) {
        run(runId);
        return mapper.newest(runId, before, RECENT);
    }
}
