package yellowrail.core.walk;

/** How a node stands, what wants attention first first. */
public enum NodeVerdict {
    /** Above what its capacitor is rated for. */
    OVER_RATING,
    /** Unlike its twin, or unlike itself in the last run. */
    OUT_OF_FAMILY,
    HIGH,
    LOW,
    /** Its volts swing: an oscillator runs. */
    PULSING,
    NOT_READ,
    /** It was read, and nobody knows what it should read. */
    NOT_JUDGED,
    INSIDE;

    /** Whether something is wrong with it. */
    public boolean isWrong() {
        return compareTo(LOW) <= 0;
    }
}
