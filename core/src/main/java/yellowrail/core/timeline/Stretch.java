package yellowrail.core.timeline;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import yellowrail.core.reading.Reading;

/**
 * A while in which no pot was turned, no switch thrown and no part changed.
 *
 * @param state the bench as it began
 * @param readings in the order of entry; the first may be the turn or the switch that it began with
 */
public record Stretch(State state, List<Reading> readings) {

    public Stretch {
        readings = List.copyOf(readings);
    }

    /** How long the amp was on in it by the log. */
    public Duration on() {
        if (!state.on().orElse(false) || readings.isEmpty()) {
            return Duration.ZERO;
        }
        Instant since = readings.get(0).takenAt();
        Instant until = readings.get(readings.size() - 1).takenAt();
        return until.isBefore(since) ? Duration.ZERO : Duration.between(since, until);
    }
}
