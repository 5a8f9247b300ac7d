package yellowrail.web.meter;

import java.net.InetAddress;
import java.net.UnknownHostException;
import yellowrail.core.amp.MeterLink;
import yellowrail.web.network.PrivateAddresses;

/** Where a meter may be asked: on this machine or in the house, never out on the network. */
public final class MeterAddress {

    private MeterAddress() {}

    /**
     * @return the address behind a link
     * @throws MeterException if the host is not known, or neither loopback nor private
     */
    public static InetAddress of(MeterLink link) {
        if (!link.host().matches("[A-Za-z0-9.:_-]{1,100}")) {
            throw new MeterException(new MeterFault.NoHost());
        }
        try {
            InetAddress address = InetAddress.getByName(link.host());
            if (!isNear(address)) {
                throw new MeterException(new MeterFault.NotInTheHouse(link.host()));
            }
            return address;
        } catch (UnknownHostException e) {
            throw new MeterException(new MeterFault.UnknownHost(link.host()));
        }
    }

    private static boolean isNear(InetAddress address) {
        return address.isLoopbackAddress() || PrivateAddresses.isPrivate(address);
    }
}
