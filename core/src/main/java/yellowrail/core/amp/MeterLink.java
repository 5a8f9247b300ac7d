package yellowrail.core.amp;

/**
 * Where a meter that can be asked over the network listens.
 *
 * @param host a name or address; blank when readings are typed
 * @param port 1 to 65535; 0 when readings are typed
 */
public record MeterLink(String host, int port) {

    public static final MeterLink NONE = new MeterLink("", 0);

    public boolean isSet() {
        return !host.isBlank();
    }

    @Override
    public String toString() {
        return host + ":" + port;
    }
}
