package yellowrail.core.idle;

/** Readings that each can stand but contradict one another; the message says which and how. */
public class ImpossibleReadingException extends IllegalArgumentException {

    private final Slot slot;

    public ImpossibleReadingException(Slot slot, String message) {
        super(message);
        this.slot = slot;
    }

    /** The number that is most likely wrong. */
    public Slot slot() {
        return slot;
    }
}
