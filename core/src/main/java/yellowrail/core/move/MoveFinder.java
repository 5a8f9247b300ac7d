package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.Alarm;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.Moment;
import yellowrail.core.soak.Soak;
import yellowrail.core.supply.KnownLine;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Timeline;

/**
 * Finds the next move from what is on the bench. Where a tube must be switched off there is no move at all; from
 * readings that were overtaken nothing over its rating is turned, it is read again; {@link LimitGuard} leaves of a move
 * what the limits allow, and {@link CreepGuard} leaves a creeping tube alone.
 */
public final class MoveFinder {

    /** Within this of the aim a turn is not worth its trouble. */
    private static final double NEAR = 0.03;
    /** The same where each tube has a pot of its own. */
    private static final double ONE_OF_SEVERAL = 0.02;

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final SupplyReadings readings;
    private final List<TubeIdle> tubes;
    private final Optional<Alarm> alarm;
    private final PotLearned learned;
    private final KnownLine known;
    private final LimitGuard guard;
    private final Soak soak;
    private final CreepGuard creeps;

    /** The move from where a timeline ends. */
    public static MoveFinder of(Timeline timeline) {
        StageIdle stage = StageIdle.of(timeline.present());
        return new MoveFinder(stage, new SupplyReadings(stage, timeline));
    }

    /** The same where the soak of the timeline is known. */
    public static MoveFinder of(Timeline timeline, StageIdle stage, Soak soak) {
        return new MoveFinder(stage, new SupplyReadings(stage, timeline), soak);
    }

    /** @param stage the amp as it stands at the end of the readings' timeline */
    public MoveFinder(StageIdle stage, SupplyReadings readings) {
        this(
                stage,
                readings,
                Soak.of(readings.timeline(), stage.at(readings.timeline().present())));
    }

    private MoveFinder(StageIdle stage, SupplyReadings readings, Soak soak) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.readings = readings;
        this.tubes = stage.at(readings.timeline().present());
        this.alarm = Alarm.of(readings.timeline(), tubes);
        this.learned = new PotLearned(sheet, readings.timeline());
        this.known = new KnownLine(sheet, readings);
        this.guard = new LimitGuard(sheet, tubes, learned);
        this.soak = soak;
        this.creeps = new CreepGuard(sheet, soak);
    }

    /** The supply line as it is known now; empty before anything whole was read. */
    public Optional<SupplyLine> line() {
        return known.now();
    }

    /**
     * @return the move; empty while too little was read, where a tube must be switched off or read again first, and
     *     where it would be to stay and a newer reading speaks against that
     */
    public Optional<NextMove> find() {
        if (alarm.isPresent() || guard.isOverAndOvertaken()) {
            return Optional.empty();
        }
        Optional<ReadingSet> half = readings.half();
        Optional<NextMove> found = half.isPresent()
                ? Optional.of(find(known.through(half.get()), List.of(half.get())))
                : line().map(line -> find(line, withProgress(line)));
        return found.map(guard::allowed)
                .map(creeps::allowed)
                .filter(move -> move.kind() != NextMove.Kind.STAY || inWindow(readings.present()));
    }

    /** With several pots, what was read since the last whole setting is taken as done. */
    private List<ReadingSet> withProgress(SupplyLine line) {
        List<ReadingSet> sets = new ArrayList<>(readings.sets());
        if (!sheet.bias().isCathode() && PotGroup.of(sheet).size() > 1) {
            new Progress(stage, readings, line).set().ifPresent(sets::add);
        }
        return sets;
    }

    /**
     * A target that a guessed line cannot reach says more about the guess than about the supply: then half of it is
     * tried.
     */
    private NextMove find(SupplyLine line, List<ReadingSet> sets) {
        NextMove.Start start = new NextMove.Start(line, mains(sets, line), check(), sets.get(sets.size() - 1));
        try {
            return sheet.bias().isCathode() ? cathode(sets, start) : fixed(sets, start);
        } catch (NoLandingException e) {
            boolean weak = e.finding() instanceof MoveFinding.NoResistorBringsThem;
            Optional<SupplyLine> nearer = weak ? Optional.empty() : known.halved(line);
            return nearer.map(halved -> find(halved, sets))
                    .orElseGet(() -> start.to(NextMove.Kind.OUT_OF_REACH, e.finding()));
        }
    }

    /** Computed where the tube and its grid are known, else by custom. */
    private Mains mains(List<ReadingSet> sets, SupplyLine line) {
        ReadingSet newest = sets.get(sets.size() - 1);
        BiasForecast forecast = new BiasForecast(stage, sets, List.of(0));
        boolean regulated = sheet.supply().biasRegulated();
        boolean triode = stage.mainType().map(type -> type.isTriode()).orElse(true);
        if (sheet.bias().isCathode() || newest.bias(0).isEmpty() || triode) {
            return Mains.customary(sheet);
        }
        return forecast.model()
                .flatMap(model -> Mains.computed(
                        model,
                        line,
                        newest.other(),
                        newest.tubes().size(),
                        forecast.screenDrop(),
                        regulated
                                ? newest.bias(0).getAsDouble()
                                : newest.bias(0).getAsDouble() / newest.mainsRatio(),
                        regulated))
                .orElse(Mains.customary(sheet));
    }

    private NextMove fixed(List<ReadingSet> sets, NextMove.Start start) {
        List<PotGroup> groups = PotGroup.of(sheet);
        ReadingSet newest = start.from();
        Balancing balancing = balancing(sets, start);
        FixedBiasMove move = new FixedBiasMove(stage, sets, start.line(), start.mains(), balancing);
        Landing target = move.landing(groups);
        MoveTeller teller = new MoveTeller(sheet, newest, learned);
        MoveNotes notes = new MoveNotes(stage, readings, sets, start.line(), start.mains(), learned, teller);
        Supplier<NextMove> stay = () ->
                start.to(NextMove.Kind.STAY, target, teller.stay(), notes.of(target, groups, List.of(), start.check()));
        if (balancing.turns().isEmpty() && stays(newest, target)) {
            return stay.get();
        }
        boolean adjustable = sheet.bias() != BiasKind.FIXED;
        Outlook outlook = new Outlook(stage, newest, start.mains());
        FollowMe followMe = new FollowMe(
                sheet, newest, start.line(), new Coupling(stage, sets), outlook, move.ceilings(target), ONE_OF_SEVERAL);
        Turns turns = new Turns(sheet, newest, outlook, balancing, followMe, NEAR / 3);
        boolean levels = adjustable && turns.setsLevel();
        List<NextMove.Step> steps = adjustable ? turns.to(target, groups) : List.of();
        if (steps.isEmpty() && levels) {
            return stay.get();
        }
        if (steps.isEmpty()) {
            Optional<BiasParts> parts = parts(newest, target);
            List<Finding> all = new ArrayList<>(notes.of(target, groups, List.of(), start.check()));
            if (parts.flatMap(BiasParts::shunt).isPresent()) {
                all.add(new MoveFinding.DividerAfterTheDiode());
            }
            return start.changing(parts, target, teller.parts(target, parts), all);
        }
        Landing landing = levels ? target : move.balanced(groups);
        boolean oneByOne = groups.size() > 1 && steps.get(0).against().isEmpty();
        return start.turning(
                steps, landing, teller.turn(steps, landing, oneByOne), notes.of(landing, groups, steps, start.check()));
    }

    private Optional<BiasParts> parts(ReadingSet newest, Landing target) {
        return newest.bias(0).isPresent() && target.bias().isPresent()
                ? Optional.of(BiasParts.of(
                        sheet.supply(),
                        newest.bias(0).getAsDouble(),
                        target.bias().getAsDouble()))
                : Optional.empty();
    }

    /**
     * Balance comes before level, but not where it would bring a tube over its window or over a limit: at the plate
     * volts that were read, or at those the supply line puts it to.
     */
    private Balancing balancing(List<ReadingSet> sets, NextMove.Start start) {
        Balancing balancing = new Balancing(sheet, start.from());
        FixedBiasMove move = new FixedBiasMove(stage, sets, start.line(), start.mains(), balancing);
        boolean keepsBelow = guard.limited().isEmpty()
                && balancing.keepsBelow(move.ceilings())
                && balancing.keepsBelow(move.ceilings(move.balanced(PotGroup.of(sheet))));
        return keepsBelow ? balancing : Balancing.none(sheet, start.from());
    }

    private NextMove cathode(List<ReadingSet> sets, NextMove.Start start) {
        CathodeAdvice advice = new CathodeBiasMove(stage, sets, start.line(), start.mains()).advise();
        MoveTeller teller = new MoveTeller(sheet, start.from(), learned);
        boolean inWindow = inWindow(start.from().moment());
        if (!inWindow && advice.isToStay()) {
            return start.to(
                    NextMove.Kind.OUT_OF_REACH,
                    new MoveFinding.ResistorStays(advice.points(), advice.now(), advice.exact()));
        }
        List<Finding> notes = new MoveNotes(stage, readings, sets, start.line(), start.mains(), learned, teller)
                .of(advice.best().landing(), List.of(), List.of(), start.check());
        return inWindow
                ? start.choosing(NextMove.Kind.STAY, advice, teller.stay(), notes)
                : start.choosing(NextMove.Kind.CHANGE_RESISTOR, advice, teller.resistor(advice), notes);
    }

    private boolean inWindow(Moment moment) {
        return stage.at(moment).stream()
                .allMatch(tube -> tube.judgement().verdict() == Verdict.IN_WINDOW
                        || tube.judgement().verdict() == Verdict.OVER_RATING_BY_CHOICE);
    }

    private boolean stays(ReadingSet newest, Landing landing) {
        double now = newest.meanCathode();
        double then = landing.tubes().stream()
                .mapToDouble(Landing.Tube::cathode)
                .average()
                .orElseThrow();
        return Math.abs(then / now - 1) < NEAR && !newest.isAssumed() && inWindow(newest.moment());
    }

    /** What the line before the newest setting had said about it. */
    private Optional<NextMove.Check> check() {
        return known.before().map(before -> {
            ReadingSet newest = readings.sets().get(readings.sets().size() - 1);
            return new NextMove.Check(
                    newest,
                    before.voltsAt(newest.totalAmps(), newest.mainsRatio()),
                    before.plusMinusAt(newest.totalAmps(), newest.mainsRatio()));
        });
    }

    /** The tubes as they are judged now. */
    public List<TubeIdle> tubes() {
        return tubes;
    }

    /** What they do while they soak. */
    public Soak soak() {
        return soak;
    }

    public Optional<Alarm> alarm() {
        return alarm;
    }
}
