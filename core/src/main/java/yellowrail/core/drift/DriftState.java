package yellowrail.core.drift;

/** What a test point does while it soaks. */
public enum DriftState {
    /** It still moves, ever more slowly, as a tube does that warms through. */
    SETTLING,
    /** It stands: whatever it still drifts is less than counts. */
    STEADY,
    /** It keeps on, at a rate that does not get smaller. */
    CREEPING,
    /** It goes faster and faster. */
    RUNNING_AWAY,
    /** Too early, or too few readings, to say. */
    UNKNOWN;

    /** Whether it is trouble. */
    public boolean isTrouble() {
        return this == CREEPING || this == RUNNING_AWAY;
    }
}
