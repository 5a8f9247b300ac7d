package yellowrail.web.run;

import yellowrail.core.idle.StageSummary;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.soak.Soak;
import yellowrail.core.soak.Standing;
import yellowrail.core.timeline.Timeline;

/** A run as its whole log tells it, computed once for all that a page shows of it. */
record RunNow(Run run, RunLog log, Timeline timeline, StageSummary summary, Soak soak) {

    static RunNow of(Run run, RunLog log) {
        Timeline timeline = log.timeline();
        StageSummary summary = StageSummary.of(timeline);
        return new RunNow(run, log, timeline, summary, Soak.of(timeline, summary.tubes()));
    }

    Standing standing() {
        return Standing.of(timeline, summary, soak);
    }

    MoveFinder moves() {
        return MoveFinder.of(timeline, summary.stage(), soak);
    }
}
