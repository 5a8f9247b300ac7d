package yellowrail.core.soak;

import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.timeline.Timeline;

/**
 * What leaves nothing to do but to switch off: a plate far over its rating, or a tube that runs away.
 *
 * @param says what is wrong
 */
public record BenchAlarm(Finding says) {

    public static Optional<BenchAlarm> of(Timeline timeline) {
        StageSummary summary = StageSummary.of(timeline);
        return of(summary, Soak.of(timeline, summary.tubes()));
    }

    /** A limit that is passed comes before a trend. */
    public static Optional<BenchAlarm> of(StageSummary summary, Soak soak) {
        if (summary.alarm().isPresent()) {
            return Optional.of(new BenchAlarm(summary.sentence()));
        }
        return soak.runaway()
                .map(new SoakTeller(soak, summary.stage().sheet(), summary.tubes())::verdict)
                .map(BenchAlarm::new);
    }
}
