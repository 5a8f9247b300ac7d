package yellowrail.core.idle;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.Rating;

/**
 * A whole stage in one sentence: what is wrong with its worst tube, or what to read next. A tube over its rating comes
 * before everything; then what has not been read; then hot, then cold.
 */
public final class StageSummary {

    private static final List<Verdict> URGENCY = List.of(Verdict.OVER_RATING, Verdict.NOT_JUDGED, Verdict.HOT, Verdict.COLD, Verdict.IN_WINDOW);

    private final StageIdle stage;
    private final List<TubeIdle> tubes;

    public StageSummary(StageIdle stage, List<TubeIdle> tubes) {
        this.stage = stage;
        this.tubes = List.copyOf(tubes);
    }

    /** The tube that most needs attention; among equals the hotter, or the colder where cold is what is wrong. */
    public TubeIdle worst() {
        return tubes.stream().min(Comparator.comparingInt((TubeIdle tube) -> URGENCY.indexOf(tube.judgement().verdict()))
                .thenComparingDouble(tube -> tube.judgement().verdict() == Verdict.COLD ? tube.judgement().ratio() : -tube.judgement().ratio()))
                .orElseThrow();
    }

    /** The worst verdict and its percentage, for a list of amps. */
    public String inWords() {
        TubeIdle worst = worst();
        Judgement judgement = worst.judgement();
        return judgement.verdict() == Verdict.NOT_JUDGED ? "not judged yet"
                : "%s %s, %s of the rating%s".formatted(worst.socket().label(), judgement.verdict().inWords(),
                Figures.percent(judgement.ratio()), judgement.early() ? ", early" : "");
    }

    public String sentence() {
        TubeIdle worst = worst();
        Judgement judgement = worst.judgement();
        Rating rating = stage.rating();
        Optional<IdleFigures> figures = worst.figures();
        String label = worst.socket().label();
        return switch (judgement.verdict()) {
            case NOT_JUDGED -> judgement.notes().get(0);
            case OVER_RATING -> "%s is over its rating: %s of %s. Bring it down before anything else.".formatted(label,
                    Figures.watts(figures.orElseThrow().dissipation().value()), Figures.watts(rating.plateWatts()));
            case HOT -> "%s is hot: %s, and the window ends at %s.".formatted(label, measure(worst), edge(stage.sheet().target().high()));
            case COLD -> "%s is cold: %s, and the window begins at %s.".formatted(label, measure(worst), edge(stage.sheet().target().low()));
            case IN_WINDOW -> tubes.size() == 1 ? "%s is in its window at %s.".formatted(label, measure(worst))
                    : "Every tube is in its window; the hottest is %s at %s.".formatted(label, measure(worst));
        };
    }

    private String measure(TubeIdle tube) {
        IdleFigures figures = tube.figures().orElseThrow();
        return switch (school().basis()) {
            case PERCENT -> Figures.percent(tube.judgement().ratio());
            case MILLIAMPS -> Figures.milliamps(figures.cathode().value());
            case TEST_POINT -> Figures.in(stage.sheet().current().shows(), figures.problem().senseReading());
        };
    }

    private String edge(double figure) {
        return switch (school().basis()) {
            case PERCENT -> Figures.percent(figure);
            case MILLIAMPS -> Figures.milliamps(figure);
            case TEST_POINT -> Figures.in(stage.sheet().current().shows(), figure);
        };
    }

    private School school() {
        Target target = stage.sheet().target();
        return target.school();
    }
}
