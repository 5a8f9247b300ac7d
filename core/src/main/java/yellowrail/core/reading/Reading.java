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
 * @param recorded whether a meter recorded it by itself: then it may have been entered long after it was taken
 */
public record Reading(long id, Entry entry, Instant takenAt, long line, int sheet, boolean recorded) {

    /** A reading that was entered as it was taken. */
    public Reading(long id, Entry entry, Instant takenAt, long line, int sheet) {
        this(id, entry, takenAt, line, sheet, false);
    }

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

    /**
     * Whether it tells of a later time than another. What hands type is in the order in which they typed it, whatever a
     * clock that was set back says; what a meter recorded has its own times.
     */
    public boolean isAfter(Reading other) {
        boolean byClock = (recorded || other.recorded) && !takenAt.equals(other.takenAt);
        return byClock ? takenAt.isAfter(other.takenAt) : id > other.id;
    }
}
