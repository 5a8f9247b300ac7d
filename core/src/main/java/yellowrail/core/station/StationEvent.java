package yellowrail.core.station;

import java.time.Instant;

/**
 * Something that happened to a station in a run.
 *
 * @param what what happened
 * @param station where
 * @param item the safety item that was ticked or unticked; blank otherwise
 * @param words why it was skipped; blank otherwise
 * @param at when
 */
public record StationEvent(What what, Station station, String item, String words, Instant at) {

    /** What can happen. */
    public enum What {
        DONE,
        SKIPPED,
        REOPENED,
        TICKED,
        UNTICKED
    }
}
