package yellowrail.core.soak;

import java.util.Optional;
import yellowrail.core.drift.DriftState;
import yellowrail.core.drift.PointDrift;

/**
 * How a test point stands.
 *
 * @param label the test point
 * @param now what it does since the setting
 * @param before the trouble it was in before, with the same tube, and was not cleared of since; empty for none
 */
public record PointSoak(String label, PointDrift now, Optional<PointDrift> before) {

    /** Whether a tube of it must not be trimmed. */
    public boolean isTrouble() {
        return now.state().isTrouble() || before.isPresent();
    }

    /** Whether it does so now. */
    public boolean runsAway() {
        return now.state() == DriftState.RUNNING_AWAY;
    }

    /** Whether its reading rises: a tube that sinks burns nothing. */
    public boolean rises() {
        return trouble().map(drift -> drift.rate() > 0).orElse(false);
    }

    public Optional<PointDrift> trouble() {
        return now.state().isTrouble() ? Optional.of(now) : before;
    }
}
