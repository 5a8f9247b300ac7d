package yellowrail.web.run;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.mistake.Mistakes;
import yellowrail.core.mistake.Situation;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryFault;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.MeterLog;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.reading.SheetCorrection;
import yellowrail.core.replay.Replay;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Safety;
import yellowrail.core.station.SafetyItem;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.typed.Quantity;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/**
 * Takes what is said at a run: reads the line, holds it until the amp is safe, questions it, stores it. The run is
 * locked from the first look to the last row, so that no reading lands in a closed run and two undos strike two
 * readings.
 */
@Service
public class RunEntries {

    private static final int LONGEST_NAME = 40;
    private static final String CLOSED = "run.closed";
    /** What can be read without a lead inside the chassis, or with the power off. */
    private static final Set<ReadingKind> LIVE = EnumSet.complementOf(EnumSet.of(
            ReadingKind.MAINS,
            ReadingKind.RESISTOR_COLD,
            ReadingKind.TURN,
            ReadingKind.TUBE,
            ReadingKind.SHEET,
            ReadingKind.POWER_ON,
            ReadingKind.POWER_OFF,
            ReadingKind.NOTE,
            ReadingKind.MARK,
            ReadingKind.UNDO,
            ReadingKind.TICK));

    private final RunMapper mapper;
    private final RunService runs;
    private final RunLogs logs;
    private final AmpService amps;
    private final StationService stations;
    private final Words words;
    private final Clock clock;

    RunEntries(
            RunMapper mapper,
            RunService runs,
            RunLogs logs,
            AmpService amps,
            StationService stations,
            Words words,
            Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.logs = logs;
        this.amps = amps;
        this.stations = stations;
        this.words = words;
        this.clock = clock;
    }

    /**
     * Takes a typed line.
     *
     * @param line what was typed
     * @param byWhom who measured
     * @param confirmed whether a question about it has been answered: it counts as typed
     */
    @Transactional
    public EntryOutcome enter(long runId, String line, String byWhom, boolean confirmed) {
        return enter(runId, line, byWhom, confirmed, null, "");
    }

    /** The same for readings taken at another time, as they stand in somebody's notebook or on a practice bench. */
    @Transactional
    public EntryOutcome enter(long runId, String line, String byWhom, boolean confirmed, OffsetDateTime taken) {
        return enter(runId, line, byWhom, confirmed, taken, "");
    }

    /**
     * @param taken when it was read; null for now, by the run's own clock
     * @param form the one-time number of the form it came with; blank where there is none
     */
    @Transactional
    public EntryOutcome enter(
            long runId, String line, String byWhom, boolean confirmed, OffsetDateTime taken, String form) {
        Run run = locked(runId);
        String typed = line == null ? "" : line.strip();
        if (isTaken(form)) {
            return new EntryOutcome.Accepted(0, true);
        }
        if (!run.isOpen()) {
            return new EntryOutcome.Refused(typed, words.message(CLOSED));
        }
        try {
            EntryOutcome outcome = take(
                    run, typed, name(byWhom), confirmed, taken == null ? OffsetDateTime.now(run.clock(clock)) : taken);
            if (outcome instanceof EntryOutcome.Accepted) {
                number(form).ifPresent(found -> mapper.takeForm(found, runId, OffsetDateTime.now(clock)));
            }
            return outcome;
        } catch (BadEntryException e) {
            return new EntryOutcome.Refused(typed, words.say(e.fault()));
        }
    }

    /** Takes what another feature has to say, as it stands: nobody asks about it. */
    @Transactional
    public EntryOutcome enter(long runId, List<Entry> said, String byWhom) {
        Run run = locked(runId);
        if (!run.isOpen()) {
            return new EntryOutcome.Refused("", words.message(CLOSED));
        }
        store(runId, runs.amp(run), said, name(byWhom), OffsetDateTime.now(run.clock(clock)));
        return new EntryOutcome.Accepted(said.size(), false);
    }

    /**
     * Takes one reading of a simulated or a network meter, questioned as a typed one would be unless it is confirmed.
     */
    @Transactional
    public EntryOutcome enter(long runId, Entry read, String byWhom, boolean confirmed, OffsetDateTime taken) {
        Run run = locked(runId);
        Amp amp = runs.amp(run);
        String typed = EntryWriter.line(read, amp.sheet());
        if (!run.isOpen()) {
            return new EntryOutcome.Refused(typed, words.message(CLOSED));
        }
        return accept(run, amp, List.of(read), List.of(), typed, name(byWhom), confirmed, taken);
    }

    private Run locked(long runId) {
        mapper.lock(runId);
        return runs.run(runId);
    }

    private static Optional<String> number(String form) {
        try {
            return form == null || form.isBlank()
                    ? Optional.empty()
                    : Optional.of(UUID.fromString(form).toString());
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private boolean isTaken(String form) {
        return number(form).map(mapper::isFormTaken).orElse(false);
    }

    private EntryOutcome take(Run run, String typed, String byWhom, boolean confirmed, OffsetDateTime taken) {
        Amp amp = runs.amp(run);
        List<Entry> said = new EntryLine(amp.sheet()).parse(typed);
        if (said.get(0).kind() == ReadingKind.UNDO) {
            return undo(run, amp, typed, said);
        }
        List<SafetyItem> ticked = ticks(said, stations.progress(run.id(), amp.sheet()));
        return accept(
                run,
                amp,
                said.stream().filter(entry -> entry.kind() != ReadingKind.TICK).toList(),
                ticked,
                typed,
                byWhom,
                confirmed,
                taken);
    }

    private EntryOutcome accept(
            Run run,
            Amp amp,
            List<Entry> entries,
            List<SafetyItem> ticked,
            String typed,
            String byWhom,
            boolean confirmed,
            OffsetDateTime taken) {
        RunProgress progress = stations.progress(run.id(), amp.sheet());
        Set<String> seenTo = ticked.stream().map(SafetyItem::id).collect(Collectors.toSet());
        Optional<EntryOutcome> held = held(progress, seenTo, entries, typed)
                .or(() -> confirmed ? Optional.empty() : question(run, amp, entries, typed, taken));
        if (held.isPresent()) {
            return held.get();
        }
        Optional<Amp> saved = corrected(amp, entries);
        if (saved.isEmpty()) {
            return new EntryOutcome.Refused(typed, words.message("run.sheet-saved"));
        }
        ticked.forEach(item -> stations.tick(run.id(), item, true));
        Amp corrected = saved.get();
        List<Entry> meant = corrected.sheet().equals(amp.sheet())
                ? entries
                : new EntryLine(corrected.sheet())
                        .parse(typed).stream()
                                .filter(entry -> entry.kind() != ReadingKind.TICK)
                                .toList();
        store(run.id(), corrected, meant, byWhom, taken);
        return new EntryOutcome.Accepted(meant.size(), false);
    }

    private static List<SafetyItem> ticks(List<Entry> said, RunProgress progress) {
        List<SafetyItem> items = new ArrayList<>();
        for (Entry entry : said) {
            if (entry.kind() == ReadingKind.UNDO) {
                throw new BadEntryException(new EntryFault.UndoAlone());
            }
            if (entry.kind() == ReadingKind.TICK) {
                List<SafetyItem> called = progress.called(entry.words());
                if (called.isEmpty() && !entry.words().equals(Safety.ALL)) {
                    throw new BadEntryException(new EntryFault.NothingToTick(Quantity.quote(entry.words())));
                }
                items.addAll(called);
            }
        }
        return items;
    }

    /** All of a line's rows carry the number of its first. */
    private void store(long runId, Amp amp, List<Entry> entries, String byWhom, OffsetDateTime taken) {
        Long first = null;
        for (Entry entry : entries) {
            Optional<Long> id = mapper.add(row(runId, amp, entry, byWhom, taken).onLine(first));
            first = first == null ? id.orElse(null) : first;
        }
    }

    /** What makes the amp unsafe to read: nothing live before the safety items are ticked. */
    private Optional<EntryOutcome> held(RunProgress progress, Set<String> seenTo, List<Entry> entries, String typed) {
        List<SafetyItem> missing = seenTo.contains(Safety.CLOSED)
                ? List.of()
                : progress.missing().stream()
                        .filter(item -> !seenTo.contains(item.id()))
                        .toList();
        if (!missing.isEmpty() && entries.stream().anyMatch(entry -> LIVE.contains(entry.kind()))) {
            return Optional.of(new EntryOutcome.Held(typed, missing));
        }
        boolean on = entries.stream().anyMatch(entry -> entry.kind() == ReadingKind.POWER_ON);
        boolean loaded = progress.isTicked(Safety.LOAD)
                || progress.isTicked(Safety.CLOSED)
                || seenTo.contains(Safety.LOAD)
                || seenTo.contains(Safety.CLOSED);
        return on && !loaded
                ? Optional.of(new EntryOutcome.Asked(
                        typed, "", words.message("run.no-load"), List.of(choice("tick load; " + typed)), false))
                : Optional.empty();
    }

    /**
     * The amp with the corrections of this line, saved if there are any; empty where somebody else saved its sheet just
     * now.
     */
    private Optional<Amp> corrected(Amp amp, List<Entry> entries) {
        AmpSheet sheet = SheetCorrection.all(entries, amp.sheet());
        return sheet.equals(amp.sheet())
                ? Optional.of(amp)
                : amps.save(amp.id(), amp.version(), sheet).map(version -> amps.newest(amp.id()));
    }

    private NewReading row(long runId, Amp amp, Entry entry, String byWhom, OffsetDateTime taken) {
        boolean earlier = entry.kind() == ReadingKind.POWER_ON;
        return new NewReading(
                runId,
                entry.kind().name(),
                entry.target(),
                earlier ? 0 : entry.value(),
                entry.words(),
                EntryWriter.line(entry, amp.sheet()),
                byWhom,
                earlier ? RunService.earlier(taken, entry.value()) : taken,
                null,
                amp.version(),
                null,
                entry.lastDigit(),
                OffsetDateTime.now(clock));
    }

    private static String name(String byWhom) {
        String name = byWhom == null ? "" : byWhom.replaceAll("\\p{Cntrl}", "").strip();
        return name.substring(
                0, name.offsetByCodePoints(0, Math.min(LONGEST_NAME, name.codePointCount(0, name.length()))));
    }

    /**
     * The first of the entries that cannot be meant, or tells of a mistake; each is held against the log and the
     * entries before it.
     */
    private Optional<EntryOutcome> question(Run run, Amp amp, List<Entry> entries, String typed, OffsetDateTime taken) {
        Log log = logs.of(run, amp).log();
        Situation situation = new Situation(log, taken.toInstant(), asked(log.timeline()));
        for (int i = 0; i < entries.size(); i++) {
            Optional<Question> question = Mistakes.question(entries.get(i), situation);
            if (question.isPresent()) {
                return Optional.of(asked(question.get(), entries, i, amp.sheet(), typed));
            }
            situation = i == entries.size() - 1 ? situation : situation.after(entries.get(i));
        }
        return Optional.empty();
    }

    private EntryOutcome.Asked.Choice choice(String line) {
        return new EntryOutcome.Asked.Choice(
                line, words.message(line.contains(";") ? "run.choice-line" : "run.choice-instead", line), false);
    }

    private EntryOutcome.Asked.Choice choice(List<Entry> suggestion, String line) {
        OptionalDouble upTo = suggestion.stream()
                .map(SheetCorrection::takesOn)
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElse(OptionalDouble.empty());
        return upTo.isEmpty()
                ? choice(line)
                : new EntryOutcome.Asked.Choice(
                        line, words.message("run.choice-built-so", Figures.in(Unit.VOLT, upTo.getAsDouble())), true);
    }

    private EntryOutcome asked(Question question, List<Entry> entries, int at, AmpSheet sheet, String typed) {
        List<EntryOutcome.Asked.Choice> choices = question.suggestions().stream()
                .map(suggestion -> choice(suggestion, EntryWriter.line(Replay.instead(entries, at, suggestion), sheet)))
                .toList();
        return new EntryOutcome.Asked(
                typed,
                question.ifReal().map(words::say).orElse(""),
                words.say(question.asks()),
                choices,
                Mistakes.mayBeReal(question) || choices.stream().anyMatch(EntryOutcome.Asked.Choice::takesOn));
    }

    /** What the page asks to be turned to now. */
    private static List<NextMove.Mark> asked(Timeline timeline) {
        return MoveFinder.of(timeline).find().map(NextMove::marks).orElse(List.of());
    }

    private EntryOutcome undo(Run run, Amp amp, String typed, List<Entry> said) {
        if (said.size() > 1 || !said.get(0).words().isBlank()) {
            throw new BadEntryException(new EntryFault.UndoAlone());
        }
        Optional<ReadingRow> last = mapper.newest(run.id(), Long.MAX_VALUE, RunService.RECENT).stream()
                .filter(row -> !row.struck())
                .findFirst();
        if (last.isEmpty()) {
            throw new BadEntryException(new EntryFault.NothingToUndo());
        }
        mapper.add(NewReading.strike(run.id(), last.get().id(), OffsetDateTime.now(clock), amp.version()));
        return new EntryOutcome.Accepted(0, false);
    }

    /** Strikes a reading: it stays in the log and counts no more. Striking it again changes nothing. */
    @Transactional
    public void strike(long runId, long readingId) {
        Run run = locked(runId);
        if (!run.isOpen()) {
            return;
        }
        ReadingRow row = mapper.row(runId, readingId)
                .orElseThrow(
                        () -> new NotFoundException("There is no reading %d in run %d.".formatted(readingId, runId)));
        mapper.add(NewReading.strike(runId, row.id(), OffsetDateTime.now(clock), row.sheetVersion()));
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
        Run run = locked(runId);
        Amp amp = runs.amp(run);
        if (!run.isOpen()) {
            return words.message(CLOSED);
        }
        if (log.rows().isEmpty() || log.rows().size() > MeterLog.MOST_ROWS) {
            return log.rows().isEmpty()
                    ? words.message("run.file-empty")
                    : words.message("run.file-too-long", String.valueOf(MeterLog.MOST_ROWS));
        }
        Situation alone = new Situation(
                new Log(logs.catalogue(), List.of(new SheetVersion(1, amp.sheet())), Moment.EMPTY, List.of()),
                run.clock(clock).instant(),
                List.of());
        RunProgress progress = stations.progress(runId, amp.sheet());
        List<NewReading> readings = new ArrayList<>();
        for (MeterLog.Row row : log.rows()) {
            for (Entry entry : new EntryLine(amp.sheet()).parse((where + " " + row.typed()).strip())) {
                Optional<EntryOutcome> held =
                        readings.isEmpty() ? held(progress, Set.of(), List.of(entry), row.typed()) : Optional.empty();
                if (held.isPresent()) {
                    return held.get() instanceof EntryOutcome.Held waits ? heldInWords(waits.items()) : "";
                }
                Optional<Question> question = Mistakes.implausible(entry, alone);
                if (question.isPresent()) {
                    return words.message(
                            "run.file-line",
                            String.valueOf(row.line()),
                            words.say(question.get().asks()));
                }
                readings.add(row(
                        runId,
                        amp,
                        entry,
                        "logging meter",
                        row.at().atZone(clock.getZone()).toOffsetDateTime()));
            }
        }
        readings.forEach(mapper::add);
        return "";
    }

    /** What a line waits for, where it cannot be ticked on the spot. */
    public String heldInWords(List<SafetyItem> items) {
        return words.message(
                "run.held",
                words.name(items.get(0).station()),
                items.stream().map(item -> words.say(item.says())).collect(Collectors.joining("; ")));
    }

    /** A line from somebody's notebook: nothing is probed for it, and nobody asks about it. */
    @Transactional
    public void enterAsFound(long runId, String line, OffsetDateTime taken) {
        Amp amp = runs.amp(locked(runId));
        store(runId, amp, new EntryLine(amp.sheet()).parse(line), "notebook", taken);
    }
}
