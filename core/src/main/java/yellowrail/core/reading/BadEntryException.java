package yellowrail.core.reading;

/** A line that cannot be read; the fault says what was wrong, its words what to type. */
public class BadEntryException extends IllegalArgumentException {

    private final transient EntryFault fault;

    public BadEntryException(EntryFault fault) {
        super(fault.code() + ": " + fault);
        this.fault = fault;
    }

    public EntryFault fault() {
        return fault;
    }
}
