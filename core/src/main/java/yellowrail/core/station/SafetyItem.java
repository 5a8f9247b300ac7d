package yellowrail.core.station;

/**
 * Something to see to before live readings, ticked once in each run.
 *
 * @param id its name in the record
 * @param station where it is ticked
 * @param says what to see to
 * @param gate when no live reading is taken before it
 */
public record SafetyItem(String id, Station station, StationFinding says, Gate gate) {

    /** When an item is waited for. */
    public enum Gate {
        ALWAYS,
        WITH_NEW_TUBES,
        WITH_BIAS_WORK,
        /** It is a fact about the run. */
        NEVER
    }
}
