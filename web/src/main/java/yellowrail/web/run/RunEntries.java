package yellowrail.web.run;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryFault;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.reading.SheetCorrection;
import yellowrail.core.reading.WatchLine;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Safety;
import yellowrail.core.station.SafetyItem;
import yellowrail.core.typed.Quantity;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.once.Once;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;
import yellowrail.web.watch.WatchService;
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
    private final RunMapper mapper;
    private final RunService runs;
    private final SafetyGate gate;
    private final EntryQuestions questions;
    private final AmpService amps;
    private final StationService stations;
    private final WatchService watches;
    private final SeatService seats;
    private final Words words;
    private final Once once;
    private final Clock clock;

    RunEntries(
            RunMapper mapper,
            RunService runs,
            SafetyGate gate,
            EntryQuestions questions,
            AmpService amps,
            StationService stations,
            WatchService watches,
            SeatService seats,
            Words words,
            Once once,
            Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.gate = gate;
        this.questions = questions;
        this.amps = amps;
        this.stations = stations;
        this.watches = watches;
        this.seats = seats;
        this.words = words;
        this.once = once;
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
        return enter(runId, line, byWhom, sight(confirmed), null, "");
    }

    /** The same for readings taken at another time, as they stand in somebody's notebook or on a practice bench. */
    @Transactional
    public EntryOutcome enter(long runId, String line, String byWhom, boolean confirmed, OffsetDateTime taken) {
        return enter(runId, line, byWhom, sight(confirmed), taken, "");
    }

    private static Sight sight(boolean confirmed) {
        return confirmed ? Sight.COUNTS : Sight.NOTHING;
    }

    /**
     * @param sight what was shown when it was typed: an answer to what has become old is none
     * @param taken when it was read; null for now, by the run's own clock
     * @param form the one-time number of the form it came with; blank where there is none
     */
    @Transactional
    public EntryOutcome enter(long runId, String line, String byWhom, Sight sight, OffsetDateTime taken, String form) {
        Run run = locked(runId);
        String typed = line == null ? "" : line.strip();
        if (once.isTaken(form)) {
            return new EntryOutcome.Accepted(0, true);
        }
        if (!run.isOpen()) {
            return new EntryOutcome.Refused(typed, words.message(CLOSED));
        }
        try {
            EntryOutcome outcome =
                    take(run, typed, name(byWhom), sight, taken == null ? OffsetDateTime.now(run.clock(clock)) : taken);
            if (outcome instanceof EntryOutcome.Accepted) {
                once.take(form, runId);
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
        return accept(run, amp, List.of(read), List.of(), typed, name(byWhom), sight(confirmed), taken);
    }

    /**
     * A reading that a logger took.
     *
     * @param at when
     */
    public record Logged(Entry entry, OffsetDateTime at) {}

    /** Takes what a logger read, all or none, once it is safe to read at all; nobody stands there to be asked. */
    @Transactional
    public EntryOutcome enterLogged(long runId, List<Logged> read, String byWhom) {
        Run run = locked(runId);
        Amp amp = runs.amp(run);
        if (!run.isOpen()) {
            return new EntryOutcome.Refused("", words.message(CLOSED));
        }
        Optional<EntryOutcome> held = gate.held(
                stations.progress(runId, amp.sheet()),
                Set.of(),
                read.stream().map(Logged::entry).toList(),
                "");
        if (held.isEmpty()) {
            read.forEach(each -> store(runId, amp, List.of(each.entry()), name(byWhom), each.at()));
        }
        return held.orElseGet(() -> new EntryOutcome.Accepted(read.size(), false));
    }

    private Run locked(long runId) {
        mapper.lock(runId);
        return runs.run(runId);
    }

    private EntryOutcome take(Run run, String typed, String byWhom, Sight sight, OffsetDateTime taken) {
        Amp amp = runs.amp(run);
        if (WatchLine.is(typed)) {
            return watch(run, amp, WatchLine.parse(typed, amp.sheet()), typed, byWhom);
        }
        List<Entry> said = new EntryLine(amp.sheet()).parse(typed);
        if (said.get(0).kind() == ReadingKind.UNDO) {
            return undo(run, amp, said, sight);
        }
        List<SafetyItem> ticked = ticks(said, stations.progress(run.id(), amp.sheet()));
        return accept(
                run,
                amp,
                said.stream().filter(entry -> entry.kind() != ReadingKind.TICK).toList(),
                ticked,
                typed,
                byWhom,
                sight,
                taken);
    }

    private EntryOutcome accept(
            Run run,
            Amp amp,
            List<Entry> entries,
            List<SafetyItem> ticked,
            String typed,
            String byWhom,
            Sight sight,
            OffsetDateTime taken) {
        RunProgress progress = stations.progress(run.id(), amp.sheet());
        Set<String> seenTo = ticked.stream().map(SafetyItem::id).collect(Collectors.toSet());
        Optional<EntryOutcome> held = gate.held(progress, seenTo, entries, typed);
        if (held.isPresent()) {
            return held.get();
        }
        Optional<EntryOutcome.Asked> asked = questions.question(run, amp, entries, typed, taken);
        if (asked.isPresent() && !sight.answers(asked.get())) {
            return asked.get();
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
        store(run.id(), corrected, meant, byWhom, taken, asked.isPresent());
        return new EntryOutcome.Accepted(meant.size(), false);
    }

    /** A meter is read by itself from now on, or no more. */
    private EntryOutcome watch(Run run, Amp amp, WatchLine line, String typed, String byWhom) {
        if (!line.off() && !amp.sheet().measuring().link().isSet()) {
            return new EntryOutcome.Refused(typed, words.message("page.soak.watch-without-meter"));
        }
        watches.asked(run.id(), line, byWhom);
        return new EntryOutcome.Accepted(0, false);
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
        store(runId, amp, entries, byWhom, taken, false);
    }

    /** @param asked whether the line was asked about, and kept all the same */
    private void store(long runId, Amp amp, List<Entry> entries, String byWhom, OffsetDateTime taken, boolean asked) {
        Long first = null;
        for (Entry entry : entries) {
            Optional<Long> id = mapper.add(NewReading.of(runId, amp, entry, byWhom, taken, OffsetDateTime.now(clock))
                    .onLine(first, asked));
            first = first == null ? id.orElse(null) : first;
        }
        Map<String, String> tubes = new LinkedHashMap<>();
        entries.stream()
                .filter(entry -> entry.kind() == ReadingKind.TUBE)
                .forEach(entry -> tubes.put(entry.target(), entry.words()));
        if (!tubes.isEmpty()) {
            seats.logged(amp.id(), tubes, taken);
        }
    }

    /** A row counts no more, nor does what it said of who sits where. */
    private void strike(Run run, ReadingRow row, int version) {
        mapper.add(NewReading.strike(run.id(), row.id(), OffsetDateTime.now(clock), version));
        if (row.kind().equals(ReadingKind.TUBE.name())) {
            seats.struck(run.ampId(), row.target(), row.takenAt());
        }
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

    private static String name(String byWhom) {
        String name = byWhom == null ? "" : byWhom.replaceAll("\\p{Cntrl}", "").strip();
        return name.substring(
                0, name.offsetByCodePoints(0, Math.min(LONGEST_NAME, name.codePointCount(0, name.length()))));
    }

    /** What was seen last is struck; not what somebody else has entered since. */
    private EntryOutcome undo(Run run, Amp amp, List<Entry> said, Sight sight) {
        if (said.size() > 1 || !said.get(0).words().isBlank()) {
            throw new BadEntryException(new EntryFault.UndoAlone());
        }
        Optional<ReadingRow> last = mapper.newest(run.id(), sight.before(), RunService.RECENT).stream()
                .filter(row -> !row.struck())
                .findFirst();
        if (last.isEmpty()) {
            throw new BadEntryException(new EntryFault.NothingToUndo());
        }
        strike(run, last.get(), amp.version());
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
        if (!row.struck()) {
            strike(run, row, row.sheetVersion());
        }
    }

    /** A line from somebody's notebook: nothing is probed for it, and nobody asks about it. */
    @Transactional
    public void enterAsFound(long runId, String line, OffsetDateTime taken) {
        Amp amp = runs.amp(locked(runId));
        store(runId, amp, new EntryLine(amp.sheet()).parse(line), "notebook", taken);
    }

    /** What a line waits for, where it cannot be ticked on the spot. */
    public String heldInWords(List<SafetyItem> items) {
        return gate.inWords(items);
    }
}
