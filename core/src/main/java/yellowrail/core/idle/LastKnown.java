package yellowrail.core.idle;

import java.util.List;
import java.util.Optional;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;

/**
 * The last known state of an amp: what load line, iron, swap check and drawer go by.
 *
 * @param stage with the tubes that are in it by the log, or by its sheet where that has changed since
 * @param log of its newest run; empty where the amp never had one
 */
public record LastKnown(StageIdle stage, Optional<Timeline> log) {

    /** What is on the bench. */
    private Optional<Snapshot> now() {
        return log.map(Timeline::present);
    }

    /** What was read of it last. */
    public LastRead read() {
        return LastRead.of(stage, now());
    }

    /** Its tubes; none where nothing was ever read. */
    public List<TubeIdle> tubes() {
        return now().map(stage::at).orElse(List.of());
    }
}
