package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.Moment;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.ReadingSets;
import yellowrail.core.supply.SupplyFit;
import yellowrail.core.supply.SupplyLine;
import yellowrail.core.supply.SupplyPoint;

/** Finds the next move from all usable readings of a run. */
public final class MoveFinder {

    /** Within this of the aim a turn is not worth its trouble. */
    private static final double NEAR = 0.03;
    private static final double MOST_OF_USUAL = 1.5;
    private static final double LEAST_GUESS = 0.1;

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final ReadingSets readings;
    private final Optional<NextMove.Check> check;

    public MoveFinder(StageIdle stage, ReadingSets readings) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.readings = readings;
        this.check = lastCheck();
    }

    /** The supply line as it was known after so many settings. */
    private Optional<SupplyLine> line(int settings) {
        List<SupplyPoint> points = readings.points(settings);
        if (settings == 0) {
            return Optional.empty();
        }
        SupplyPoint last = points.get(points.size() - 1);
        Rectifier rectifier = sheet.supply().rectifier();
        OptionalDouble peak = sheet.supply().peakVolts(last.mainsRatio());
        if (peak.isPresent()) {
            double ohms = (peak.getAsDouble() - last.volts()) / last.amps();
            if (ohms > 0) {
                return Optional.of(new SupplyFit(points, ohms, "from the winding\u2019s peak voltage").fit());
            }
        }
        return Optional.of(new SupplyFit(points, usualOhms(rectifier), rectifier == Rectifier.UNKNOWN ? "as many supplies have"
                : "as supplies with a %s rectifier have".formatted(rectifier.inWords())).fit());
    }

    /** More tubes hang on bigger transformers: the usual resistance is a pair's. */
    private double usualOhms(Rectifier rectifier) {
        return rectifier.usualOhms() * Math.min(MOST_OF_USUAL, 2.0 / sheet.sockets().size());
    }

    /**
     * @return the move from the last whole setting, which is what one turns towards while the next is being read; empty while
     *     no setting is complete, and where it would be to stay and a newer reading speaks against that
     */
    public Optional<NextMove> find() {
        return line(readings.sets().size()).map(this::find)
                .filter(move -> move.kind() != NextMove.Kind.STAY || inWindow(readings.present()));
    }

    /** A target that a guessed line cannot reach says more about the guess than about the supply: then half of it is tried. */
    private NextMove find(SupplyLine line) {
        List<ReadingSet> sets = readings.sets();
        Mains mains = mains(sets, line);
        try {
            return sheet.bias().isCathode() ? cathode(sets, line, mains) : fixed(sets, line, mains);
        } catch (NoLandingException e) {
            if (line.isGuessed() && line.resistance() > LEAST_GUESS * usualOhms(sheet.supply().rectifier())) {
                return find(new SupplyFit(line.used(), line.resistance() / 2, "since more would leave the target out of reach").fit());
            }
            return new NextMove(NextMove.Kind.OUT_OF_REACH, line, mains, Optional.empty(), List.of(), Optional.empty(), Optional.empty(),
                    check, e.getMessage(), List.of());
        }
    }

    /** Computed where the tube and its grid are known, else by custom. */
    private Mains mains(List<ReadingSet> sets, SupplyLine line) {
        ReadingSet newest = sets.get(sets.size() - 1);
        BiasForecast forecast = new BiasForecast(stage, sets, List.of(0));
        if (sheet.bias().isCathode() || newest.bias(0).isEmpty() || stage.type().isTriode()) {
            return Mains.customary(sheet.bias());
        }
        return forecast.model().flatMap(model -> Mains.computed(model, line, newest.other(), newest.tubes().size(), forecast.screenDrop(),
                newest.bias(0).getAsDouble() / newest.mainsRatio())).orElse(Mains.customary(sheet.bias()));
    }

    private NextMove fixed(List<ReadingSet> sets, SupplyLine line, Mains mains) {
        List<PotGroup> groups = PotGroup.of(sheet);
        ReadingSet newest = sets.get(sets.size() - 1);
        Balancing balancing = new Balancing(sheet, newest);
        FixedBiasMove move = new FixedBiasMove(stage, sets, line, mains, balancing);
        Landing target = move.landing(groups);
        MoveWords words = new MoveWords(stage, newest, line, mains, check);
        if (balancing.turns().isEmpty() && stays(newest, target)) {
            return new NextMove(NextMove.Kind.STAY, line, mains, Optional.of(target), List.of(), Optional.empty(), Optional.empty(), check,
                    words.stay(), words.notes(target, readings, groups));
        }
        Turns turns = new Turns(sheet, newest, new Outlook(stage, newest, mains), balancing, NEAR / 3);
        boolean levels = sheet.bias() != BiasKind.FIXED && turns.setsLevel();
        List<NextMove.Step> steps = sheet.bias() == BiasKind.FIXED ? List.of() : turns.to(target, groups);
        if (steps.isEmpty() && !levels) {
            Optional<BiasParts> parts = newest.bias(0).isPresent() && target.bias().isPresent()
                    ? Optional.of(BiasParts.of(sheet.supply(), newest.bias(0).getAsDouble(), target.bias().getAsDouble())) : Optional.empty();
            return new NextMove(NextMove.Kind.CHANGE_RESISTOR, line, mains, Optional.of(target), List.of(), Optional.empty(), parts, check,
                    words.parts(target, parts), words.notes(target, readings, groups));
        }
        Landing landing = levels ? target : move.balanced(groups);
        return new NextMove(NextMove.Kind.TURN, line, mains, Optional.of(landing), steps, Optional.empty(), Optional.empty(), check,
                words.turn(steps, landing), words.notes(landing, readings, groups));
    }

    private NextMove cathode(List<ReadingSet> sets, SupplyLine line, Mains mains) {
        CathodeAdvice advice = new CathodeBiasMove(stage, sets, line, mains).advise();
        ReadingSet newest = sets.get(sets.size() - 1);
        MoveWords words = new MoveWords(stage, newest, line, mains, check);
        boolean inWindow = inWindow(newest.moment());
        Landing landing = advice.best().landing();
        return new NextMove(inWindow ? NextMove.Kind.STAY : NextMove.Kind.CHANGE_RESISTOR, line, mains, Optional.of(landing), List.of(),
                Optional.of(advice), Optional.empty(), check, inWindow ? words.stay() : words.resistor(advice), words.notes(landing, readings, List.of()));
    }

    private boolean inWindow(Moment moment) {
        return stage.at(moment).stream().allMatch(tube -> tube.judgement().verdict() == Verdict.IN_WINDOW);
    }

    private boolean stays(ReadingSet newest, Landing landing) {
        double now = newest.meanCathode();
        double then = landing.tubes().stream().mapToDouble(Landing.Tube::cathode).average().orElseThrow();
        return Math.abs(then / now - 1) < NEAR && inWindow(newest.moment());
    }

    /** What the line before the newest setting had said about it. */
    private Optional<NextMove.Check> lastCheck() {
        List<ReadingSet> sets = readings.sets();
        if (sets.size() < 2) {
            return Optional.empty();
        }
        ReadingSet newest = sets.get(sets.size() - 1);
        return line(sets.size() - 1).map(before -> new NextMove.Check(newest, before.voltsAt(newest.totalAmps(), newest.mainsRatio()),
                before.plusMinusAt(newest.totalAmps(), newest.mainsRatio())));
    }
}
