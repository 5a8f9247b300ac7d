package yellowrail.core.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.Rating;

/**
 * Holds an idle against the rating and the window of the chosen school. The rating caps every school: above it a tube
 * is over rating whatever the window says. The edges of a window belong to it.
 */
public final class Judge {

    private final Rating rating;
    private final Target target;

    public Judge(Rating rating, Target target) {
        this.rating = rating;
        this.target = target;
    }

    /**
     * @param figures the idle
     * @param early   whether the amp had not yet settled
     */
    public Judgement judge(IdleFigures figures, boolean early) {
        double ratio = figures.dissipation().value() / rating.plateWatts();
        Verdict verdict = verdict(figures, ratio);
        return new Judgement(verdict, early, ratio, notes(figures, verdict));
    }

    private Verdict verdict(IdleFigures figures, double ratio) {
        if (ratio > 1) {
            return Verdict.OVER_RATING;
        }
        double measure = measure(figures);
        return measure < target.low() ? Verdict.COLD : measure > target.high() ? Verdict.HOT : Verdict.IN_WINDOW;
    }

    /** What this school looks at. */
    private double measure(IdleFigures figures) {
        return switch (target.school().basis()) {
            case PERCENT -> figures.dissipation().value() / rating.plateWatts();
            case MILLIAMPS -> figures.cathode().value();
            case TEST_POINT -> figures.problem().senseReading();
        };
    }

    private List<String> notes(IdleFigures figures, Verdict verdict) {
        List<String> notes = new ArrayList<>();
        Estimate watts = figures.dissipation();
        if (verdict != Verdict.OVER_RATING && watts.upper() > rating.plateWatts()) {
            notes.add("The upper end of its uncertainty, %s, passes the rating of %s.".formatted(
                    Figures.watts(watts.upper()), Figures.watts(rating.plateWatts())));
        }
        if (verdict == Verdict.OVER_RATING && watts.lower() <= rating.plateWatts()) {
            notes.add("The lower end of its uncertainty, %s, is within the rating of %s.".formatted(
                    Figures.watts(watts.lower()), Figures.watts(rating.plateWatts())));
        }
        edge(figures, verdict).ifPresent(notes::add);
        limits(figures, notes);
        if (target.school() != School.SHARE_OF_RATING && verdict != Verdict.OVER_RATING) {
            notes.add("Judged by %s; the rating caps it.".formatted(target.school().inWords()));
        }
        return notes;
    }

    private Optional<String> edge(IdleFigures figures, Verdict verdict) {
        if (target.school().basis() != School.Basis.PERCENT || verdict == Verdict.OVER_RATING) {
            return Optional.empty();
        }
        double low = target.low() * rating.plateWatts();
        double high = target.high() * rating.plateWatts();
        Estimate watts = figures.dissipation();
        if (watts.lower() < low && watts.upper() > low) {
            return Optional.of("The cold edge of the window, %s, lies within its uncertainty.".formatted(Figures.watts(low)));
        }
        if (target.high() < 1 && watts.lower() < high && watts.upper() > high) {
            return Optional.of("The hot edge of the window, %s, lies within its uncertainty.".formatted(Figures.watts(high)));
        }
        return Optional.empty();
    }

    private void limits(IdleFigures figures, List<String> notes) {
        over("Plate voltage", Optional.of(figures.plateVolts()), rating.plateVolts(), Figures::volts, notes);
        over("Cathode current", Optional.of(figures.cathode()), rating.cathodeAmps(), Figures::milliamps, notes);
        over("Screen dissipation", figures.screenWatts(), rating.screenWatts(), Figures::watts, notes);
        over("Screen voltage", figures.screenVolts(), rating.screenVolts(), Figures::volts, notes);
    }

    private static void over(String what, Optional<Estimate> figure, OptionalDouble limit, DoubleFunction<String> shown, List<String> notes) {
        if (figure.isPresent() && limit.isPresent() && figure.get().value() > limit.getAsDouble()) {
            notes.add("%s, %s, is over its limit of %s.".formatted(what, shown.apply(figure.get().value()), shown.apply(limit.getAsDouble())));
        }
    }
}
