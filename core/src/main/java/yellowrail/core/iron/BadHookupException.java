package yellowrail.core.iron;

/** Something typed that is no hook-up of cabinets. */
public final class BadHookupException extends IllegalArgumentException {

    private final transient IronFinding fault;

    BadHookupException(IronFinding fault) {
        super(fault.toString());
        this.fault = fault;
    }

    public IronFinding fault() {
        return fault;
    }
}
