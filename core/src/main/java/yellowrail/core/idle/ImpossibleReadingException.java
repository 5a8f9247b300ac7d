package yellowrail.core.idle;

/** Readings that each can stand but contradict one another; the finding says which and how. */
public class ImpossibleReadingException extends IllegalArgumentException {

    private final Slot slot;
    private final transient IdleFinding finding;

    public ImpossibleReadingException(Slot slot, IdleFinding finding) {
        super(finding.code() + ": " + finding);
        this.slot = slot;
        this.finding = finding;
    }

    public IdleFinding finding() {
        return finding;
    }

    /** The number that is most likely wrong. */
    public Slot slot() {
        return slot;
    }
}
