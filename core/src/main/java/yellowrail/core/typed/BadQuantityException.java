package yellowrail.core.typed;

/** What was typed is not a number with a unit that fits; the fault says what would be. */
public class BadQuantityException extends IllegalArgumentException {

    private final transient QuantityFault fault;

    public BadQuantityException(QuantityFault fault) {
        super(fault.toString());
        this.fault = fault;
    }

    public QuantityFault fault() {
        return fault;
    }
}
