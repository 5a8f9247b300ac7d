package yellowrail.core.soak;

import java.util.List;
import java.util.Optional;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.Verdict;
import yellowrail.core.timeline.Timeline;

/**
 * Where a run stands, for a list of many.
 *
 * @param summary its worst tube
 * @param alarm what is to be switched off for; empty for nothing
 * @param trouble test points that creep or run away
 * @param says the verdict on the first of those
 * @param next what is to be read next while it soaks; empty for nothing
 */
public record Standing(
        StageSummary summary,
        Optional<BenchAlarm> alarm,
        List<PointSoak> trouble,
        Optional<SoakFinding> says,
        Optional<Rounds.Next> next) {

    /** What wants attention, most urgent first. */
    public enum Urgency {
        ALARM,
        OVER_RATING,
        CREEPING,
        /** It is time to look at it again. */
        DUE,
        SOAKING,
        NONE
    }

    public Standing {
        trouble = List.copyOf(trouble);
    }

    public static Standing of(Timeline timeline) {
        StageSummary summary = StageSummary.of(timeline);
        return of(timeline, summary, Soak.of(timeline, summary.tubes()));
    }

    /** The same where the summary and the soak of the timeline are known. */
    public static Standing of(Timeline timeline, StageSummary summary, Soak soak) {
        SoakTeller teller = new SoakTeller(soak, summary.stage().sheet(), summary.tubes());
        List<PointSoak> trouble = soak.trouble();
        return new Standing(
                summary,
                BenchAlarm.of(summary, soak),
                trouble,
                trouble.stream().findFirst().map(teller::verdict),
                Soak.isOn(timeline) && timeline.present().state().on().isPresent()
                        ? Rounds.next(soak)
                        : Optional.empty());
    }

    public Urgency urgency() {
        if (alarm.isPresent()) {
            return Urgency.ALARM;
        }
        if (summary.worst().judgement().verdict() == Verdict.OVER_RATING) {
            return Urgency.OVER_RATING;
        }
        if (!trouble.isEmpty()) {
            return Urgency.CREEPING;
        }
        return next.isPresent() ? Urgency.SOAKING : Urgency.NONE;
    }
}
