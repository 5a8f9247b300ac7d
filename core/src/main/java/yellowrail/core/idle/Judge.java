package yellowrail.core.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Estimate;

/**
 * Holds an idle against its limits and the window of its goal. The rating caps every school: above it a tube is over
 * rating whatever the window says, unless the builder chose to run it so. The edges of a window belong to it.
 */
public final class Judge {

    private final Goal goal;
    private final Accepted accepted;

    public Judge(Goal goal, Accepted accepted) {
        this.goal = goal;
        this.accepted = accepted;
    }

    /**
     * @param figures the idle
     * @param early whether the amp had not yet settled
     */
    public Judgement judge(IdleFigures figures, boolean early) {
        double ratio = figures.dissipation().value() / goal.rating().plateWatts();
        Limits limits = Limits.of(figures, goal, accepted);
        Verdict verdict = verdict(figures, ratio, limits);
        return new Judgement(verdict, early, ratio, notes(figures, verdict, limits), limits);
    }

    private Verdict verdict(IdleFigures figures, double ratio, Limits limits) {
        if (limits.overWatts()) {
            return Verdict.OVER_RATING;
        }
        double measure = measure(figures);
        Target.Band window = goal.at(figures.plateVolts().value());
        if (measure < window.low()) {
            return Verdict.COLD;
        }
        if (ratio > 1) {
            return Verdict.OVER_RATING_BY_CHOICE;
        }
        return measure > window.high() ? Verdict.HOT : Verdict.IN_WINDOW;
    }

    /** What this school looks at. */
    private double measure(IdleFigures figures) {
        return switch (goal.window().school().basis()) {
            case PERCENT -> figures.dissipation().value() / goal.rating().plateWatts();
            case MILLIAMPS -> figures.cathode().value();
            case TEST_POINT -> figures.problem().senseReading();
        };
    }

    private List<IdleFinding> notes(IdleFigures figures, Verdict verdict, Limits limits) {
        List<IdleFinding> notes = new ArrayList<>(limits.findings());
        Estimate watts = figures.dissipation();
        double rated = goal.rating().plateWatts();
        if (verdict == Verdict.OVER_RATING_BY_CHOICE) {
            notes.add(new IdleFinding.OverByChoice(watts.value() / rated));
        } else if (watts.value() <= rated && watts.upper() > rated) {
            notes.add(new IdleFinding.UpperEndPassesRating(watts.upper(), rated));
        } else if (watts.value() > rated && watts.lower() <= rated) {
            notes.add(new IdleFinding.LowerEndWithinRating(watts.lower(), rated));
        }
        edge(figures, verdict).ifPresent(notes::add);
        goal.adapted().ifPresent(notes::add);
        if (goal.window().school() != School.SHARE_OF_RATING && verdict != Verdict.OVER_RATING && !goal.isByChoice()) {
            notes.add(new IdleFinding.JudgedBySchool(goal.window().school()));
        }
        return notes;
    }

    private Optional<IdleFinding> edge(IdleFigures figures, Verdict verdict) {
        if (goal.window().school().basis() != School.Basis.PERCENT || verdict == Verdict.OVER_RATING) {
            return Optional.empty();
        }
        Target.Band window = goal.at(figures.plateVolts().value());
        double low = window.low() * goal.rating().plateWatts();
        double high = window.high() * goal.rating().plateWatts();
        Estimate watts = figures.dissipation();
        if (watts.lower() < low && watts.upper() > low) {
            return Optional.of(new IdleFinding.ColdEdgeWithin(low));
        }
        if (window.high() < 1 && watts.lower() < high && watts.upper() > high) {
            return Optional.of(new IdleFinding.HotEdgeWithin(high));
        }
        return Optional.empty();
    }
}
