package yellowrail.core.station;

/**
 * Something to see to before live readings, ticked once in each run.
 *
 * @param id its name in the record
 * @param station where it is ticked
 * @param says what to see to
 * @param gates whether no live reading is taken before it; the others are facts about the run
 */
public record SafetyItem(String id, Station station, StationFinding says, boolean gates) {}
