package yellowrail.web.practice;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.BenchState;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.Marking;
import yellowrail.core.practice.Workshop;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Plausibility;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;

/**
 * Keeps practice benches: each request brings the bench up to now, does what was asked, and puts what the meter shows on
 * the run. Time on the bench goes by while somebody looks, or when it is told to.
 */
@Service
class PracticeService {

    /** Longer than this nobody has looked, and the bench has stood still. */
    private static final Duration LOOKED_AWAY = Duration.ofSeconds(5);
    /** What it takes to place a lead or turn a pot and read, s. */
    private static final double HANDS = 2;
    private static final String WHO = "practice meter";

    private final PracticeMapper mapper;
    private final AmpService amps;
    private final RunService runs;
    private final JsonColumn json;
    private final Clock clock;

    PracticeService(PracticeMapper mapper, AmpService amps, RunService runs, JsonColumn json, Clock clock) {
        this.mapper = mapper;
        this.amps = amps;
        this.runs = runs;
        this.json = json;
        this.clock = clock;
    }

    /** What came of something done at the bench: a word to say, and whether the run changed. */
    record Done(Bench bench, PracticeRow row, String says, boolean changed) {

        Optional<Marking> marking(JsonColumn json) {
            return Optional.ofNullable(row.marking()).map(marking -> json.read(marking, Marking.class));
        }
    }

    /** @param seed empty for one by chance */
    @Transactional
    long start(Exercise exercise, OptionalDouble seed) {
        long chosen = (long) seed.orElseGet(() -> ThreadLocalRandom.current().nextInt(1, 1_000_000));
        Workshop workshop = new Workshop(exercise, chosen);
        long amp = amps.createPractice(workshop.sheet(exercise == Exercise.NOTHING_WRONG ? "Practice amp" : "Practice amp, exercise " + exercise.ordinal()));
        Run run = runs.begin(amp);
        OffsetDateTime now = OffsetDateTime.now(clock);
        mapper.add(new PracticeRow(run.id(), exercise.name(), chosen, json.write(workshop.bench().state()), now, "", null));
        workshop.asFound().forEach(line -> runs.enterAsFound(run.id(), line, now));
        return run.id();
    }

    @Transactional(readOnly = true)
    List<PracticeRow> tries() {
        return mapper.newest();
    }

    /** Looks at the bench: time goes by. */
    @Transactional
    Done look(long runId) {
        return act(runId, bench -> { }, false);
    }

    @Transactional
    Done power(long runId) {
        PracticeRow row = row(runId);
        Bench bench = bench(row);
        boolean on = !bench.isOn();
        if (on && runs.run(runId).isOpen()) {
            EntryOutcome outcome = runs.enter(runId, "on", WHO, false, benchTime(runId, bench));
            if (!(outcome instanceof EntryOutcome.Accepted)) {
                return new Done(bench, row, says(outcome), false);
            }
            return act(runId, it -> it.power(true), false, true);
        }
        Done done = act(runId, it -> it.power(false), false, true);
        runs.enter(runId, "off", WHO, true, benchTime(runId, done.bench()));
        return done;
    }

    @Transactional
    Done turn(long runId, int pot, double position) {
        PracticeRow row = row(runId);
        Bench bench = bench(row);
        List<Pot> pots = bench.sheet().pots();
        if (pot < 0 || pot >= pots.size() || !(position >= 0 && position <= 1)) {
            throw new NotFoundException("There is no such pot, or it does not turn that far.");
        }
        double from = bench.state().pots().get(pot);
        if (from == position) {
            return look(runId);
        }
        runs.enter(runId, "turn %s %s".formatted(pots.get(pot).name(), position > from ? "clockwise" : "anticlockwise"), WHO, true, benchTime(runId, bench));
        return act(runId, it -> it.turn(pot, position), true);
    }

    @Transactional
    Done place(long runId, String probe) {
        Bench bench = bench(row(runId));
        if (!bench.probes().contains(probe)) {
            throw new NotFoundException("There is no %s to put the lead on.".formatted(probe));
        }
        return act(runId, it -> it.place(probe), true);
    }

    @Transactional
    Done pass(long runId, int minutes) {
        return act(runId, bench -> bench.advance(60.0 * minutes), true);
    }

    /** Exchanges the first two tubes. */
    @Transactional
    Done swap(long runId) {
        PracticeRow row = row(runId);
        Bench bench = bench(row);
        if (bench.isOn()) {
            return new Done(bench, row, "Switch off and let it drain before a tube is pulled.", false);
        }
        Done done = act(runId, it -> it.swap(0, 1), false, true);
        runs.enter(runId, "note tubes of %s and %s exchanged".formatted(bench.sheet().sockets().get(0).label(), bench.sheet().sockets().get(1).label()), WHO, true,
                benchTime(runId, done.bench()));
        return done;
    }

    /** Marks the exercise by what the builder says was wrong. A second word changes nothing. */
    @Transactional
    Done mark(long runId, Exercise said) {
        PracticeRow row = row(runId);
        Bench bench = bench(row);
        if (row.marking() == null) {
            StageSummary summary = runs.summary(runs.run(runId));
            double ratio = summary.worst().judgement().ratio();
            Marking marking = Marking.of(Exercise.valueOf(row.exercise()), bench, said, Double.isNaN(ratio) ? OptionalDouble.empty() : OptionalDouble.of(ratio));
            mapper.mark(runId, said.name(), json.write(marking));
            runs.enter(runId, "note %s: %s".formatted(marking.passed() ? "exercise passed" : "exercise not passed", marking.lines().get(0).result()), WHO, true, benchTime(runId, bench));
        }
        return new Done(bench, row(runId), "", true);
    }

    /** What the meter of the bench looked at last shows now; nothing without a bench, a placed lead or power. */
    @Transactional(readOnly = true)
    Optional<Entry> shown() {
        return mapper.lastLookedAt().map(this::bench).filter(bench -> !bench.state().probe().isBlank()).map(bench -> bench.read(bench.state().probe()));
    }

    private Done act(long runId, Consumer<Bench> what, boolean reads) {
        return act(runId, what, reads, false);
    }

    private Done act(long runId, Consumer<Bench> what, boolean reads, boolean changes) {
        PracticeRow row = row(runId);
        Run run = runs.run(runId);
        Bench bench = bench(row);
        OffsetDateTime wall = OffsetDateTime.now(clock);
        Duration away = Duration.between(row.lookedAt(), wall);
        bench.advance(away.isNegative() || away.compareTo(LOOKED_AWAY) > 0 ? 0 : away.toMillis() / 1000.0);
        what.accept(bench);
        String says = "";
        boolean changed = changes;
        if (reads && run.isOpen()) {
            bench.advance(HANDS);
            if (!bench.state().probe().isBlank() && (bench.isOn() || bench.state().probe().equals("mains"))) {
                says = log(runId, bench);
            }
            changed = true;
        }
        for (String event : bench.events()) {
            runs.enter(runId, "note " + event, "practice bench", true, benchTime(runId, bench));
            changed = true;
        }
        BenchState state = bench.state();
        mapper.save(runId, json.write(state), wall);
        runs.setClock(runId, Duration.between(wall, benchTime(runId, bench)).toMillis() / 1000.0);
        return new Done(bench, row, says, changed);
    }

    /** Puts what the meter shows on the run. What the run would ask about it is said, and the reading stands. */
    private String log(long runId, Bench bench) {
        AmpSheet sheet = runs.amp(runs.run(runId)).sheet();
        String line = Plausibility.line(bench.read(bench.state().probe()), sheet);
        EntryOutcome outcome = runs.enter(runId, line, WHO, false, benchTime(runId, bench));
        if (outcome instanceof EntryOutcome.Asked) {
            EntryOutcome kept = runs.enter(runId, line, WHO, true, benchTime(runId, bench));
            return kept instanceof EntryOutcome.Accepted ? says(outcome) : says(kept);
        }
        return says(outcome);
    }

    private static String says(EntryOutcome outcome) {
        if (outcome instanceof EntryOutcome.Refused refused) {
            return refused.message();
        }
        return outcome instanceof EntryOutcome.Asked asked ? asked.asks() + (asked.choices().isEmpty() ? "" : " Type: " + asked.choices().get(0)) : "";
    }

    private OffsetDateTime benchTime(long runId, Bench bench) {
        return runs.run(runId).begunAt().plus(Duration.ofMillis(Math.round(1000 * bench.state().seconds())));
    }

    private PracticeRow row(long runId) {
        return mapper.locked(runId).orElseThrow(() -> new NotFoundException("Run %d is not on a practice amp.".formatted(runId)));
    }

    private Bench bench(PracticeRow row) {
        return new Workshop(Exercise.valueOf(row.exercise()), row.seed()).bench(json.read(row.state(), BenchState.class));
    }

    JsonColumn json() {
        return json;
    }
}
