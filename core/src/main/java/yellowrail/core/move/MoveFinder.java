package yellowrail.core.move;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.Alarm;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.Moment;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyFinding;
import yellowrail.core.supply.SupplyFit;
import yellowrail.core.supply.SupplyLine;
import yellowrail.core.supply.SupplyPoint;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Timeline;

/**
 * Finds the next move from what is on the bench. A limit outranks every wish: where a tube must be switched off there
 * is no move at all; while one is over a limit nothing is made hotter; from readings that were overtaken nothing over
 * its rating is turned, it is read again.
 */
public final class MoveFinder {

    /** Within this of the aim a turn is not worth its trouble. */
    private static final double NEAR = 0.03;
    /** The same where each tube has a pot of its own. */
    private static final double ONE_OF_SEVERAL = 0.02;

    private static final double MOST_OF_USUAL = 1.5;
    private static final double LEAST_GUESS = 0.1;

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final SupplyReadings readings;
    private final List<TubeIdle> tubes;
    private final Optional<Alarm> alarm;
    private final PotLearned learned;
    private final Map<Integer, Optional<SupplyLine>> lines = new HashMap<>();

    /** The move from where a timeline ends. */
    public static MoveFinder of(Timeline timeline) {
        StageIdle stage = StageIdle.of(timeline.present());
        return new MoveFinder(stage, new SupplyReadings(stage, timeline));
    }

    /** @param stage the amp as it stands at the end of the readings' timeline */
    public MoveFinder(StageIdle stage, SupplyReadings readings) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.readings = readings;
        this.tubes = stage.at(readings.timeline().present());
        this.alarm = Alarm.of(readings.timeline(), tubes);
        this.learned = new PotLearned(sheet, readings.timeline());
    }

    /** The supply line as it is known now; empty before anything whole was read. */
    public Optional<SupplyLine> line() {
        return line(readings.sets().size());
    }

    private Optional<SupplyLine> line(int settings) {
        return settings == 0
                ? Optional.empty()
                : lines.computeIfAbsent(settings, known -> Optional.of(through(readings.points(known))));
    }

    private SupplyLine through(List<SupplyPoint> points) {
        SupplyPoint last = points.get(points.size() - 1);
        Rectifier rectifier = sheet.supply().rectifier();
        OptionalDouble before = readings.ohmsBefore();
        if (before.isPresent()) {
            return new SupplyFit(points, before.getAsDouble(), new SupplyFinding.GuessedAsBefore(before.getAsDouble()))
                    .fit();
        }
        OptionalDouble peak = sheet.supply().peakVolts(last.mainsRatio());
        double ohms = peak.isPresent() ? (peak.getAsDouble() - last.volts()) / last.amps() : 0;
        if (ohms > 0) {
            return new SupplyFit(points, ohms, new SupplyFinding.GuessedFromPeak(ohms)).fit();
        }
        double usual = usualOhms(rectifier);
        return new SupplyFit(
                        points,
                        usual,
                        rectifier == Rectifier.UNKNOWN
                                ? new SupplyFinding.GuessedAsUsual(usual)
                                : new SupplyFinding.GuessedAsUsualFor(usual, rectifier))
                .fit();
    }

    /** More tubes hang on bigger transformers: the usual resistance is a pair's. */
    private double usualOhms(Rectifier rectifier) {
        return rectifier.usualOhms()
                * Math.min(MOST_OF_USUAL, 2.0 / sheet.sockets().size());
    }

    /**
     * @return the move; empty while too little was read, where a tube must be switched off or read again first, and
     *     where it would be to stay and a newer reading speaks against that
     */
    public Optional<NextMove> find() {
        if (alarm.isPresent() || isOverAndOvertaken()) {
            return Optional.empty();
        }
        Optional<ReadingSet> half = readings.half();
        Optional<NextMove> found = half.isPresent()
                ? Optional.of(find(through(List.of(point(half.get()))), List.of(half.get())))
                : line().map(line -> find(line, withProgress(line)));
        return found.map(this::guarded)
                .filter(move -> move.kind() != NextMove.Kind.STAY || inWindow(readings.present()));
    }

    private boolean isOverAndOvertaken() {
        return tubes.stream()
                .anyMatch(tube -> tube.judgement().verdict() == Verdict.OVER_RATING
                        && !tube.freshness().isFresh());
    }

    private static SupplyPoint point(ReadingSet set) {
        return new SupplyPoint(
                List.of(),
                set.plateVolts(),
                set.totalAmps(),
                set.mainsRatio(),
                Math.max(0.1, 1e-4 * set.plateVolts()),
                false);
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
        Mains mains = mains(sets, line);
        try {
            return sheet.bias().isCathode() ? cathode(sets, line, mains) : fixed(sets, line, mains);
        } catch (NoLandingException e) {
            boolean weak = e.finding() instanceof MoveFinding.NoResistorBringsThem;
            if (!weak
                    && line.isGuessed()
                    && line.resistance()
                            > LEAST_GUESS * usualOhms(sheet.supply().rectifier())) {
                double ohms = line.resistance() / 2;
                return find(new SupplyFit(line.used(), ohms, new SupplyFinding.GuessedWithinReach(ohms)).fit(), sets);
            }
            return new NextMove(
                    NextMove.Kind.OUT_OF_REACH,
                    line,
                    mains,
                    Optional.empty(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    check(),
                    e.finding(),
                    List.of(),
                    sets.get(sets.size() - 1));
        }
    }

    /** Computed where the tube and its grid are known, else by custom. */
    private Mains mains(List<ReadingSet> sets, SupplyLine line) {
        ReadingSet newest = sets.get(sets.size() - 1);
        BiasForecast forecast = new BiasForecast(stage, sets, List.of(0));
        boolean triode = stage.mainType().map(type -> type.isTriode()).orElse(true);
        if (sheet.bias().isCathode() || newest.bias(0).isEmpty() || triode) {
            return Mains.customary(sheet.bias());
        }
        return forecast.model()
                .flatMap(model -> Mains.computed(
                        model,
                        line,
                        newest.other(),
                        newest.tubes().size(),
                        forecast.screenDrop(),
                        newest.bias(0).getAsDouble() / newest.mainsRatio()))
                .orElse(Mains.customary(sheet.bias()));
    }

    private NextMove fixed(List<ReadingSet> sets, SupplyLine line, Mains mains) {
        List<PotGroup> groups = PotGroup.of(sheet);
        ReadingSet newest = sets.get(sets.size() - 1);
        Balancing balancing = balancing(sets, line, mains);
        FixedBiasMove move = new FixedBiasMove(stage, sets, line, mains, balancing);
        Landing target = move.landing(groups);
        MoveTeller teller = new MoveTeller(sheet, newest, learned);
        MoveNotes notes = new MoveNotes(stage, readings, sets, line, mains, learned, teller);
        Supplier<NextMove> stay = () -> new NextMove(
                NextMove.Kind.STAY,
                line,
                mains,
                Optional.of(target),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                check(),
                teller.stay(),
                notes.of(target, groups, List.of(), check()),
                newest);
        if (balancing.turns().isEmpty() && stays(newest, target)) {
            return stay.get();
        }
        Outlook outlook = new Outlook(stage, newest, mains);
        FollowMe followMe = new FollowMe(
                sheet, newest, line, new Coupling(stage, sets), outlook, move.ceilings(target), ONE_OF_SEVERAL);
        Turns turns = new Turns(sheet, newest, outlook, balancing, followMe, NEAR / 3);
        boolean levels = sheet.bias() != BiasKind.FIXED && turns.setsLevel();
        List<NextMove.Step> steps = sheet.bias() == BiasKind.FIXED ? List.of() : turns.to(target, groups);
        if (steps.isEmpty() && levels) {
            return stay.get();
        }
        if (steps.isEmpty()) {
            Optional<BiasParts> parts =
                    newest.bias(0).isPresent() && target.bias().isPresent()
                            ? Optional.of(BiasParts.of(
                                    sheet.supply(),
                                    newest.bias(0).getAsDouble(),
                                    target.bias().getAsDouble()))
                            : Optional.empty();
            List<Finding> all = new ArrayList<>(notes.of(target, groups, List.of(), check()));
            if (parts.flatMap(BiasParts::shunt).isPresent()) {
                all.add(new MoveFinding.DividerAfterTheDiode());
            }
            return new NextMove(
                    NextMove.Kind.CHANGE_RESISTOR,
                    line,
                    mains,
                    Optional.of(target),
                    List.of(),
                    Optional.empty(),
                    parts,
                    check(),
                    teller.parts(target, parts),
                    all,
                    newest);
        }
        Landing landing = levels ? target : move.balanced(groups);
        boolean oneByOne = groups.size() > 1 && steps.get(0).against().isEmpty();
        return new NextMove(
                NextMove.Kind.TURN,
                line,
                mains,
                Optional.of(landing),
                steps,
                Optional.empty(),
                Optional.empty(),
                check(),
                teller.turn(steps, landing, oneByOne),
                notes.of(landing, groups, steps, check()),
                newest);
    }

    /** Balance comes before level, but not where it would bring a tube over its window or over a limit. */
    private Balancing balancing(List<ReadingSet> sets, SupplyLine line, Mains mains) {
        ReadingSet newest = sets.get(sets.size() - 1);
        Balancing balancing = new Balancing(sheet, newest);
        boolean keepsBelow = limited().isEmpty()
                && balancing.keepsBelow(new FixedBiasMove(stage, sets, line, mains, balancing).ceilings());
        return keepsBelow ? balancing : Balancing.none(sheet, newest);
    }

    /** The first tube that forbids to make anything hotter. */
    private Optional<TubeIdle> limited() {
        return tubes.stream()
                .filter(tube -> tube.judgement().limits().blocksHotter())
                .findFirst();
    }

    private NextMove cathode(List<ReadingSet> sets, SupplyLine line, Mains mains) {
        CathodeAdvice advice = new CathodeBiasMove(stage, sets, line, mains).advise();
        ReadingSet newest = sets.get(sets.size() - 1);
        MoveTeller teller = new MoveTeller(sheet, newest, learned);
        boolean inWindow = inWindow(newest.moment());
        if (!inWindow && advice.isToStay()) {
            return new NextMove(
                    NextMove.Kind.OUT_OF_REACH,
                    line,
                    mains,
                    Optional.empty(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    check(),
                    new MoveFinding.ResistorStays(advice.points(), advice.now(), advice.exact()),
                    List.of(),
                    newest);
        }
        Landing landing = advice.best().landing();
        List<Finding> notes = new MoveNotes(stage, readings, sets, line, mains, learned, teller)
                .of(landing, List.of(), List.of(), check());
        return new NextMove(
                inWindow ? NextMove.Kind.STAY : NextMove.Kind.CHANGE_RESISTOR,
                line,
                mains,
                Optional.of(landing),
                List.of(),
                Optional.of(advice),
                Optional.empty(),
                check(),
                inWindow ? teller.stay() : teller.resistor(advice),
                notes,
                newest);
    }

    /** A move as far as the limits allow it. */
    private NextMove guarded(NextMove move) {
        Optional<TubeIdle> limited = limited();
        if (limited.isEmpty() || move.kind() == NextMove.Kind.STAY || move.kind() == NextMove.Kind.OUT_OF_REACH) {
            return move;
        }
        boolean over = tubes.stream().anyMatch(tube -> tube.judgement().verdict() == Verdict.OVER_RATING);
        if (move.kind() == NextMove.Kind.CHANGE_RESISTOR) {
            boolean hotter = move.landing().orElseThrow().tubes().stream()
                    .anyMatch(tube -> tube.cathode() > cathodeNow(move, tube));
            return hotter
                    ? nothing(move, limited.get())
                    : over ? with(move, NextMove.Kind.OFF, List.of(), new MoveFinding.OffFirst(move.says())) : move;
        }
        List<NextMove.Step> cooler =
                move.steps().stream().filter(step -> !step.isHotter()).toList();
        if (cooler.isEmpty()) {
            return nothing(move, limited.get());
        }
        return cooler.size() == move.steps().size()
                ? move
                : with(
                        move,
                        NextMove.Kind.TURN,
                        cooler,
                        new MoveTeller(sheet, move.from(), learned)
                                .turn(cooler, move.landing().orElseThrow(), true));
    }

    /** As read last, or in the setting the move starts from: the lower of them. */
    private double cathodeNow(NextMove move, Landing.Tube tube) {
        int place = sheet.sockets().indexOf(tube.socket());
        return tubes.get(place)
                .figures()
                .map(figures -> Math.min(figures.cathode().value(), move.from().cathode(place)))
                .orElse(move.from().cathode(place));
    }

    private static NextMove nothing(NextMove move, TubeIdle limited) {
        return new NextMove(
                NextMove.Kind.NOTHING,
                move.line(),
                move.mains(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                move.check(),
                new MoveFinding.NothingHotter(
                        limited.socket().label(),
                        limited.judgement().limits().findings().get(0)),
                List.of(),
                move.from());
    }

    private static NextMove with(NextMove move, NextMove.Kind kind, List<NextMove.Step> steps, Finding says) {
        return new NextMove(
                kind,
                move.line(),
                move.mains(),
                move.landing(),
                steps,
                move.cathode(),
                move.parts(),
                move.check(),
                says,
                move.notes(),
                move.from());
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
        List<ReadingSet> sets = readings.sets();
        if (sets.size() < 2) {
            return Optional.empty();
        }
        ReadingSet newest = sets.get(sets.size() - 1);
        return line(sets.size() - 1)
                .map(before -> new NextMove.Check(
                        newest,
                        before.voltsAt(newest.totalAmps(), newest.mainsRatio()),
                        before.plusMinusAt(newest.totalAmps(), newest.mainsRatio())));
    }

    /** The tubes as they are judged now. */
    public List<TubeIdle> tubes() {
        return tubes;
    }

    public Optional<Alarm> alarm() {
        return alarm;
    }
}
