package yellowrail.web.practice;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Socket;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.Marking;
import yellowrail.core.practice.PracticeFinding;
import yellowrail.core.practice.Workshop;
import yellowrail.core.practice.round.FirstRound;
import yellowrail.core.practice.round.RoundFinding;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.soak.BenchAlarm;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/**
 * Keeps practice benches: each request brings the bench up to now, does what was asked, and puts what the meter shows
 * on the run. Time on the bench goes by while somebody looks, or when it is told to.
 */
@Service
class PracticeService {

    /** Longer than this nobody has looked, and the bench has stood still. */
    private static final Duration LOOKED_AWAY = Duration.ofSeconds(5);
    /** What it takes to place a lead or turn a pot and read, s. */
    private static final double HANDS = 2;

    private static final String WHO = "practice meter";
    private static final String LOGGER = "practice logger";
    private static final int LOGS_A_MINUTE = 3;

    private final PracticeMapper mapper;
    private final AmpService amps;
    private final RunService runs;
    private final RunEntries entries;
    private final StationService stations;
    private final DocumentKind<BenchStateDocument> states;
    private final DocumentKind<MarkingDocument> markings;
    private final Words words;
    private final Clock clock;

    PracticeService(
            PracticeMapper mapper,
            AmpService amps,
            RunService runs,
            RunEntries entries,
            StationService stations,
            JsonColumn json,
            Clock clock,
            Words words) {
        this.mapper = mapper;
        this.amps = amps;
        this.runs = runs;
        this.entries = entries;
        this.stations = stations;
        this.states = json.kind(BenchStateDocument.class);
        this.markings = json.kind(MarkingDocument.class);
        this.words = words;
        this.clock = clock;
    }

    /** What came of something done at the bench: a word to say, and whether the run changed. */
    record Done(Bench bench, PracticeRow row, String says, boolean changed) {

        Optional<MarkingDocument> marking(DocumentKind<MarkingDocument> markings) {
            return Optional.ofNullable(row.marking()).map(markings::read);
        }
    }

    /** @param seed empty for one by chance */
    @Transactional
    long start(Exercise exercise, OptionalDouble seed) {
        long chosen = (long) seed.orElseGet(() -> ThreadLocalRandom.current().nextInt(1, 1_000_000));
        Workshop workshop = new Workshop(exercise, chosen);
        long amp = amps.createPractice(workshop.sheet(
                exercise == Exercise.NOTHING_WRONG
                        ? words.message("page.practice.amp")
                        : words.message("page.practice.amp-of-exercise", exercise.ordinal()),
                words.message("page.practice.notes-of-the-amp")));
        Run run = runs.begin(amp);
        OffsetDateTime now = OffsetDateTime.now(clock);
        mapper.add(new PracticeRow(
                run.id(),
                exercise.name(),
                chosen,
                states.write(BenchStateDocument.of(workshop.bench().state())),
                now,
                "",
                null));
        workshop.platesAsFound().ifPresent(volts -> {
            entries.enterAsFound(run.id(), words.message("page.practice.note-of-the-notebook"), now);
            entries.enterAsFound(run.id(), "plate " + Figures.fixed(volts, 1), now);
        });
        return run.id();
    }

    @Transactional(readOnly = true)
    List<PracticeRow> tries() {
        return mapper.newest();
    }

    @Transactional(readOnly = true)
    List<PracticeRecord> records() {
        return mapper.records();
    }

    /** What comes next on the first round; empty on an exercise, whose point it is to find out. */
    @Transactional
    Optional<RoundFinding> hint(long runId, Station at) {
        Standing standing = standing(runId);
        if (!standing.row().exercise().equals(Exercise.NOTHING_WRONG.name())
                || !standing.run().isOpen()) {
            return Optional.empty();
        }
        Timeline timeline = runs.timeline(standing.run());
        RunProgress progress = stations.progress(runId, timeline.present().sheet());
        return new FirstRound(
                        standing.bench(), timeline, progress, standing.time().toInstant())
                .next(at);
    }

    /** A practice bench with its record and its run, loaded once for what is to be done. */
    private record Standing(PracticeRow row, Run run, Bench bench) {

        OffsetDateTime time() {
            return run.begunAt()
                    .plus(Duration.ofMillis(Math.round(1000 * bench.state().seconds())));
        }

        Done refused(String says) {
            return new Done(bench, row, says, false);
        }
    }

    private Standing standing(long runId) {
        PracticeRow row = row(runId);
        Run run = runs.run(runId);
        return new Standing(row, run, bench(row, run));
    }

    /** The amp of a run. */
    @Transactional(readOnly = true)
    long amp(long runId) {
        return runs.run(runId).ampId();
    }

    /** Looks at the bench: time goes by. */
    @Transactional
    Done look(long runId) {
        return act(standing(runId), bench -> {}, false, false);
    }

    /** The bench as it stands, so many seconds on once it was listened to. */
    @Transactional
    Bench listen(long runId, double seconds) {
        Standing standing = standing(runId);
        act(standing, bench -> bench.advance(seconds), false, false);
        return standing.bench();
    }

    @Transactional
    Done power(long runId) {
        Standing standing = standing(runId);
        boolean on = !standing.bench().isOn();
        if (on && standing.run().isOpen()) {
            EntryOutcome outcome =
                    entries.enter(runId, Entry.said(ReadingKind.POWER_ON, "", ""), WHO, false, standing.time());
            return outcome instanceof EntryOutcome.Accepted
                    ? act(standing, bench -> bench.power(true), false, true)
                    : standing.refused(says(outcome));
        }
        Done done = act(standing, bench -> bench.power(false), false, true);
        entries.enter(runId, Entry.said(ReadingKind.POWER_OFF, "", ""), WHO, true, standing.time());
        return done;
    }

    @Transactional
    Done turn(long runId, int pot, double position) {
        Standing standing = standing(runId);
        List<Pot> pots = standing.bench().sheet().pots();
        if (pot < 0 || pot >= pots.size() || !(position >= 0 && position <= 1)) {
            throw new NotFoundException("There is no such pot, or it does not turn that far.");
        }
        double from = standing.bench().state().pots().get(pot);
        if (from == position) {
            return act(standing, bench -> {}, false, false);
        }
        Pot.Turn way = position > from ? Pot.Turn.CLOCKWISE : Pot.Turn.ANTICLOCKWISE;
        entries.enter(runId, Entry.turned(pots.get(pot).name(), way), WHO, true, standing.time());
        return act(standing, bench -> bench.turn(pot, position), true, false);
    }

    @Transactional
    Done place(long runId, String probe) {
        Standing standing = standing(runId);
        if (!standing.bench().probes().contains(probe)) {
            throw new NotFoundException("There is no %s to put the lead on.".formatted(probe));
        }
        return act(standing, bench -> bench.place(probe), true, false);
    }

    @Transactional
    Done pass(long runId, int minutes) {
        Standing standing = standing(runId);
        boolean logs = Exercise.valueOf(standing.row().exercise()).isSoak()
                && standing.bench().isOn()
                && standing.run().isOpen();
        return logs ? watched(standing, minutes) : act(standing, bench -> bench.advance(60.0 * minutes), true, false);
    }

    /** A soak's bench has a logger: it reads while time passes, and the wait ends when there is something to see. */
    private Done watched(Standing standing, int minutes) {
        long runId = standing.run().id();
        Bench bench = standing.bench();
        String says = "";
        for (int minute = 0; minute < minutes && says.isEmpty(); minute++) {
            List<RunEntries.Logged> read = new ArrayList<>();
            for (int i = 0; i < LOGS_A_MINUTE; i++) {
                bench.advance(60.0 / LOGS_A_MINUTE);
                bench.readAll().forEach(entry -> read.add(new RunEntries.Logged(entry, standing.time())));
            }
            EntryOutcome outcome = entries.enterLogged(runId, read, LOGGER);
            says = outcome instanceof EntryOutcome.Accepted ? alarm(standing.run()) : says(outcome);
        }
        Done done = act(standing, passed -> {}, false, true);
        return new Done(done.bench(), done.row(), says, true);
    }

    /** What must be switched off for; blank where nothing must. */
    private String alarm(Run run) {
        return BenchAlarm.of(runs.wholeTimelines(List.of(run)).get(run))
                .map(alarm -> words.say(alarm.says()))
                .orElse("");
    }

    /** Exchanges the first two tubes. */
    @Transactional
    Done swap(long runId) {
        Standing standing = standing(runId);
        if (standing.bench().isOn()) {
            return standing.refused(words.message("page.practice.off-first"));
        }
        Done done = act(standing, bench -> bench.swap(0, 1), false, true);
        List<Socket> sockets = standing.bench().sheet().sockets();
        List<String> labels = sockets.subList(0, 2).stream().map(Socket::label).toList();
        labels.forEach(label -> entries.enter(
                runId,
                Entry.said(
                        ReadingKind.TUBE,
                        label,
                        standing.bench().sheet().tubeType() + " of " + labels.get(1 - labels.indexOf(label))),
                WHO,
                true,
                standing.time()));
        return done;
    }

    /** Marks the exercise by what the builder says was wrong. A second word changes nothing. */
    @Transactional
    Done mark(long runId, Exercise said) {
        Standing standing = standing(runId);
        if (standing.row().marking() == null) {
            double ratio = runs.summary(standing.run()).worst().judgement().ratio();
            Marking marking = Marking.of(
                    Exercise.valueOf(standing.row().exercise()),
                    standing.bench(),
                    said,
                    runs.unread(standing.run()),
                    Double.isNaN(ratio) ? OptionalDouble.empty() : OptionalDouble.of(ratio));
            mapper.mark(
                    runId,
                    said.name(),
                    markings.write(MarkingDocument.of(marking, standing.bench().state(), words)));
            entries.enter(
                    runId,
                    Entry.said(
                            ReadingKind.NOTE,
                            "",
                            words.message(
                                    marking.passed() ? "page.practice.note-passed" : "page.practice.note-not-passed",
                                    words.say(marking.lines().get(0).result()))),
                    WHO,
                    true,
                    standing.time());
        }
        return new Done(standing.bench(), row(runId), "", true);
    }

    /** What the meter of the bench looked at last shows now; nothing without a bench, a placed lead or power. */
    @Transactional(readOnly = true)
    Optional<Entry> shown() {
        return mapper.lastLookedAt()
                .map(row -> bench(row, runs.run(row.runId())))
                .filter(bench -> !bench.state().probe().isBlank())
                .map(bench -> bench.read(bench.state().probe()));
    }

    /**
     * @param reads whether the meter is read afterwards
     * @param changes whether the run has changed already
     */
    private Done act(Standing standing, Consumer<Bench> what, boolean reads, boolean changes) {
        long runId = standing.run().id();
        Bench bench = standing.bench();
        OffsetDateTime wall = OffsetDateTime.now(clock);
        Duration away = Duration.between(standing.row().lookedAt(), wall);
        bench.advance(away.isNegative() || away.compareTo(LOOKED_AWAY) > 0 ? 0 : away.toMillis() / 1000.0);
        what.accept(bench);
        String says = "";
        boolean changed = changes;
        if (reads && standing.run().isOpen()) {
            bench.advance(HANDS);
            if (!bench.state().probe().isBlank()
                    && (bench.isOn() || bench.state().probe().equals("mains"))) {
                says = log(standing);
            }
            changed = true;
        }
        for (PracticeFinding event : bench.events()) {
            entries.enter(
                    runId, Entry.said(ReadingKind.NOTE, "", words.say(event)), "practice bench", true, standing.time());
            changed = true;
        }
        mapper.save(runId, states.write(BenchStateDocument.of(bench.state())), wall);
        runs.setClock(runId, Duration.between(wall, standing.time()).toMillis() / 1000.0);
        return new Done(bench, standing.row(), says, changed);
    }

    /** Puts what the meter shows on the run. What the run would ask about it is said, and the reading stands. */
    private String log(Standing standing) {
        long runId = standing.run().id();
        Entry read = standing.bench().read(standing.bench().state().probe());
        EntryOutcome outcome = entries.enter(runId, read, WHO, false, standing.time());
        if (outcome instanceof EntryOutcome.Asked) {
            EntryOutcome kept = entries.enter(runId, read, WHO, true, standing.time());
            return kept instanceof EntryOutcome.Accepted ? says(outcome) : says(kept);
        }
        return says(outcome);
    }

    private String says(EntryOutcome outcome) {
        if (outcome instanceof EntryOutcome.Refused refused) {
            return refused.message();
        }
        if (outcome instanceof EntryOutcome.Held held) {
            return entries.heldInWords(held.items());
        }
        return outcome instanceof EntryOutcome.Asked asked
                ? asked.choices().isEmpty()
                        ? asked.says()
                        : words.message(
                                "page.practice.asked",
                                asked.says(),
                                asked.choices().get(0).line())
                : "";
    }

    private PracticeRow row(long runId) {
        return mapper.locked(runId)
                .orElseThrow(() -> new NotFoundException("Run %d is not on a practice amp.".formatted(runId)));
    }

    /** With the bias supply as the builder has it on the bias bench by now. */
    private Bench bench(PracticeRow row, Run run) {
        return new Workshop(Exercise.valueOf(row.exercise()), row.seed())
                .bench(
                        states.read(row.state()).state(),
                        amps.newest(run.ampId()).sheet().biasSupply());
    }

    DocumentKind<MarkingDocument> markings() {
        return markings;
    }
}
