package yellowrail.core.reading;

import java.time.Instant;

/**
 * A reading that stands in the log.
 *
 * @param id      its number in the log, growing with the order of entry
 * @param entry   what was read
 * @param takenAt when
 */
public record Reading(long id, Entry entry, Instant takenAt) {

    public double value() {
        return entry.value();
    }
}
