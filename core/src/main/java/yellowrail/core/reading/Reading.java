package yellowrail.core.reading;

import java.time.Instant;

/**
 * A reading that stands in the log.
 *
 * @param id its number in the log, growing with the order of entry
 * @param entry what was read
 * @param takenAt when
 * @param line the number of the first reading that was typed on the same line
 * @param sheet the version of the amp's sheet it was entered under
 */
public record Reading(long id, Entry entry, Instant takenAt, long line, int sheet) {

    /** A reading on a line of its own, of an amp whose sheet was never changed. */
    public Reading(long id, Entry entry, Instant takenAt) {
        this(id, entry, takenAt, id, 1);
    }

    public double value() {
        return entry.value();
    }

    public ReadingKind kind() {
        return entry.kind();
    }
}
