package yellowrail.core.idle;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.timeline.Snapshot;

/**
 * The last known state of an amp: what load line, iron, swap check and drawer go by.
 *
 * @param stage with the tubes that are in it by the log, or by its sheet where that has changed since
 * @param now what is on the bench; empty where the amp never had a run
 * @param supplyOhms of its supply by the readings of that run, ohm; empty where they make no line
 */
public record LastKnown(StageIdle stage, Optional<Snapshot> now, OptionalDouble supplyOhms) {

    /** What was read of it last. */
    public LastRead read() {
        return LastRead.of(stage, now);
    }

    /** Its tubes; none where nothing was ever read. */
    public List<TubeIdle> tubes() {
        return now.map(stage::at).orElse(List.of());
    }
}
