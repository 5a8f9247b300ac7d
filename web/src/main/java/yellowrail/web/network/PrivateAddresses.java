package yellowrail.web.network;

import java.net.Inet6Address;
import java.net.InetAddress;

/** The addresses that belong to the network of a house: 10/8, 172.16/12, 192.168/16, fc00::/7. */
public final class PrivateAddresses {

    private static final int UNIQUE_LOCAL = 0xfc;
    private static final int UNIQUE_LOCAL_MASK = 0xfe;

    private PrivateAddresses() {}

    /** Loopback is none of them. */
    public static boolean isPrivate(InetAddress address) {
        // What Java calls site-local of the longer addresses, fec0::/10, was given up: it belongs to nobody's house.
        return address instanceof Inet6Address
                ? (address.getAddress()[0] & UNIQUE_LOCAL_MASK) == UNIQUE_LOCAL
                : address.isSiteLocalAddress();
    }
}
