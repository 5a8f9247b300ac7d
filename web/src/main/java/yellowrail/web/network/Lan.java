package yellowrail.web.network;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Whether other devices of the house are served, on which address, and how it may be called. */
@Component
public class Lan {

    /** What the machine may be called in the house, where somebody tells that name. */
    public static final String NAME = "yellow-rail.local";

    private static final String ADDRESS = "yellow-rail.lan.address";
    private static final String PORT = "yellow-rail.lan.port";
    private static final String KEYSTORE = "yellow-rail.lan.keystore";
    private static final String FINGERPRINT = "yellow-rail.lan.fingerprint";

    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");
    private static final Set<String> OF_THIS_MACHINE = Set.of("127.0.0.1", "0:0:0:0:0:0:0:1", "::1");

    private final String address;
    private final int port;
    private final String keystore;
    private final String fingerprint;

    Lan(
            @Value("${" + ADDRESS + ":}") String address,
            @Value("${" + PORT + ":0}") int port,
            @Value("${" + KEYSTORE + ":}") String keystore,
            @Value("${" + FINGERPRINT + ":}") String fingerprint) {
        this.address = address;
        this.port = port;
        this.keystore = keystore;
        this.fingerprint = fingerprint;
    }

    /**
     * What the application is to be started with.
     *
     * @param folder where the certificate is kept, or made if none is there
     */
    public static Map<String, Object> properties(InetAddress address, int port, Path folder) {
        Certificate certificate = Certificate.of(folder, address, Clock.systemUTC());
        return Map.of(
                ADDRESS,
                address.getHostAddress(),
                PORT,
                port,
                KEYSTORE,
                certificate.keystore().toString(),
                FINGERPRINT,
                certificate.fingerprint());
    }

    public boolean isOpen() {
        return !address.isEmpty();
    }

    String address() {
        return address;
    }

    int port() {
        return port;
    }

    String keystore() {
        return keystore;
    }

    public String fingerprint() {
        return fingerprint;
    }

    /** How another device finds it. */
    public String url() {
        return "https://" + host(address) + ":" + port;
    }

    private static String host(String address) {
        return address.contains(":") ? "[" + address + "]" : address;
    }

    /** Whether a request may call us so: any other name comes from a page that pretends to be ours. */
    public boolean isOurName(String host) {
        String name = host.toLowerCase(Locale.ROOT);
        return LOOPBACK.contains(name) || isOpen() && (name.equals(NAME) || isOurAddress(name));
    }

    /** The longer addresses can be written in several ways. */
    private boolean isOurAddress(String host) {
        try {
            return host.matches("[0-9.]+|\\[[0-9a-f:.]+]")
                    && InetAddress.getByName(host).equals(InetAddress.getByName(address));
        } catch (UnknownHostException none) {
            return false;
        }
    }

    /** Whether a request came in by loopback: from whoever sits at this machine. */
    public static boolean isFromThisMachine(HttpServletRequest request) {
        return OF_THIS_MACHINE.contains(request.getLocalAddr()) && !request.isSecure();
    }
}
