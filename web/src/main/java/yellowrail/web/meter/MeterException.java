package yellowrail.web.meter;

/** The meter gave no reading; the message says why and what to do. */
public final class MeterException extends RuntimeException {

    private final transient MeterFault fault;

    MeterException(MeterFault fault) {
        super(fault.toString());
        this.fault = fault;
    }

    public MeterFault fault() {
        return fault;
    }
}
