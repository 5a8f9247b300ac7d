package yellowrail.core.idle;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.timeline.Timeline;

/**
 * A whole stage in one line: what is wrong with its worst tube, or what to read next. What must be switched off comes
 * first, then a tube over its rating, then what has not been read, then what was overtaken; then hot, then cold.
 */
public final class StageSummary {

    private static final List<Verdict> URGENCY = List.of(
            Verdict.OVER_RATING,
            Verdict.NOT_JUDGED,
            Verdict.HOT,
            Verdict.COLD,
            Verdict.OVER_RATING_BY_CHOICE,
            Verdict.IN_WINDOW);

    private final StageIdle stage;
    private final List<TubeIdle> tubes;
    private final Optional<Alarm> alarm;

    public StageSummary(StageIdle stage, List<TubeIdle> tubes, Optional<Alarm> alarm) {
        this.stage = stage;
        this.tubes = List.copyOf(tubes);
        this.alarm = alarm;
    }

    public static StageSummary of(Timeline timeline) {
        StageIdle stage = StageIdle.of(timeline.present());
        List<TubeIdle> tubes = stage.at(timeline.present());
        return new StageSummary(stage, tubes, Alarm.of(timeline, tubes));
    }

    /** The tube that most needs attention; among equals the hotter, or the colder where cold is what is wrong. */
    public TubeIdle worst() {
        return alarm.map(Alarm::tube)
                .orElseGet(() -> tubes.stream()
                        .min(Comparator.comparingInt((TubeIdle tube) ->
                                        URGENCY.indexOf(tube.judgement().verdict()))
                                .thenComparing(TubeIdle::isFresh)
                                .thenComparingDouble(tube -> tube.judgement().verdict() == Verdict.COLD
                                        ? tube.judgement().ratio()
                                        : -tube.judgement().ratio()))
                        .orElseThrow());
    }

    public List<TubeIdle> tubes() {
        return tubes;
    }

    public StageIdle stage() {
        return stage;
    }

    public Optional<Alarm> alarm() {
        return alarm;
    }

    /** What is to be said first of the stage. */
    public Finding sentence() {
        AmpSheet sheet = stage.sheet();
        if (alarm.isPresent()) {
            return alarm.get().finding(sheet.current().shows());
        }
        TubeIdle worst = worst();
        String label = worst.socket().label();
        Judgement judgement = worst.judgement();
        if (judgement.verdict() == Verdict.NOT_JUDGED) {
            return judgement.notes().get(0);
        }
        IdleFigures figures = worst.figures().orElseThrow();
        Goal goal = goal(worst);
        if (judgement.verdict() == Verdict.OVER_RATING) {
            return overRating(worst, figures, goal);
        }
        Optional<TubeIdle> overtaken =
                tubes.stream().filter(tube -> !tube.isFresh()).findFirst();
        if (overtaken.isPresent()) {
            return new IdleFinding.WasSo(
                    overtaken.get().socket().label(),
                    overtaken.get().judgement().verdict(),
                    overtaken.get().freshness().why().orElseThrow());
        }
        Target.Band window = goal.at(figures.plateVolts().value());
        return switch (judgement.verdict()) {
            case HOT -> new IdleFinding.StageHot(label, measure(worst), edge(window.high()));
            case COLD -> new IdleFinding.StageCold(label, measure(worst), edge(window.low()));
            case OVER_RATING_BY_CHOICE -> new IdleFinding.StageOverByChoice(label, measure(worst));
            default -> inWindow(worst);
        };
    }

    private IdleFinding overRating(TubeIdle worst, IdleFigures figures, Goal goal) {
        String label = worst.socket().label();
        double watts = figures.dissipation().value();
        double rated = goal.rating().plateWatts();
        if (worst.judgement().ratio() <= goal.mostRatio()) {
            return new IdleFinding.StageScreenOver(
                    label,
                    figures.screenWatts().orElseThrow().value(),
                    goal.rating().screenWatts().getAsDouble());
        }
        return worst.freshness()
                .why()
                .<IdleFinding>map(why -> new IdleFinding.WasOverRating(label, watts, rated, why))
                .orElseGet(() -> new IdleFinding.StageOverRating(
                        label, watts, rated, worst.judgement().ratio()));
    }

    private IdleFinding inWindow(TubeIdle worst) {
        Optional<IdleFinding.OneMayBeHot> hidden = worst.judgement().notes().stream()
                .filter(IdleFinding.OneMayBeHot.class::isInstance)
                .map(IdleFinding.OneMayBeHot.class::cast)
                .findFirst();
        if (hidden.isPresent()) {
            return new IdleFinding.AverageInWindow(
                    worst.socket().testPoint(), measure(worst), hidden.get().ratio());
        }
        return tubes.size() == 1
                ? new IdleFinding.OneInWindow(worst.socket().label(), measure(worst))
                : new IdleFinding.AllInWindow(worst.socket().label(), measure(worst));
    }

    private Goal goal(TubeIdle tube) {
        return stage.goal(stage.occupants().indexOf(tube.occupant())).orElseThrow();
    }

    private Shown measure(TubeIdle tube) {
        IdleFigures figures = tube.figures().orElseThrow();
        return switch (basis()) {
            case PERCENT -> edge(tube.judgement().ratio());
            case MILLIAMPS -> edge(figures.cathode().value());
            case TEST_POINT -> edge(figures.problem().senseReading());
        };
    }

    private Shown edge(double figure) {
        return switch (basis()) {
            case PERCENT -> Shown.of(Unit.PERCENT, figure);
            case MILLIAMPS -> Shown.of(Unit.MILLIAMP, figure);
            case TEST_POINT -> Shown.of(stage.sheet().current().shows(), figure);
        };
    }

    private School.Basis basis() {
        return stage.sheet().target().school().basis();
    }
}
