package yellowrail.web.network;

import java.io.UncheckedIOException;
import java.net.DatagramSocket;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import yellowrail.web.postgres.CannotStartException;

/** Chooses the address of this machine on which other devices are served: a private one, never one of the world. */
public final class LanAddress {

    /** Nobody has this address (RFC 5737): it only tells by which way one would go out. Nothing is sent. */
    private static final InetSocketAddress OUT = new InetSocketAddress("192.0.2.1", 9);

    private LanAddress() {}

    /**
     * @param asked an address as typed; blank to have one chosen: that by which this machine goes out, or the only one
     * @throws CannotStartException if it is not of this machine, not private, or there is not one to choose
     */
    public static InetAddress choose(String asked) {
        return asked.isBlank() ? own() : checked(asked);
    }

    private static InetAddress checked(String asked) {
        InetAddress address = literal(asked);
        if (address.isLoopbackAddress()) {
            return forTrying(asked, address);
        }
        if (!PrivateAddresses.isPrivate(address)) {
            throw new CannotStartException(
                    ("%s is no private address. Other devices are served in the house only: on 10.x, 172.16.x to "
                                    + "172.31.x, 192.168.x or fd….")
                            .formatted(asked));
        }
        if (here().stream().noneMatch(place -> place.address().equals(address))) {
            throw new CannotStartException(
                    "%s is no address of this machine. It has %s.".formatted(asked, told(here())));
        }
        return address;
    }

    /** Loopback has many addresses: another than the usual one shows on this machine alone what others would see. */
    private static InetAddress forTrying(String asked, InetAddress address) {
        if (!(address instanceof Inet4Address) || asked.equals("127.0.0.1")) {
            throw new CannotStartException(
                    "%s is served anyway. To try it on this machine alone: --lan 127.0.0.2".formatted(asked));
        }
        return address;
    }

    private static InetAddress literal(String asked) {
        try {
            if (asked.matches("\\d{1,3}(\\.\\d{1,3}){3}|[0-9A-Fa-f:]*:[0-9A-Fa-f:.]*")) {
                return InetAddress.getByName(asked);
            }
        } catch (UnknownHostException none) {
            // said below
        }
        throw new CannotStartException(
                "--lan takes an address of this machine, got %s. It has %s.".formatted(asked, told(here())));
    }

    private static InetAddress own() {
        List<Place> places = here();
        Optional<InetAddress> out = wayOut();
        if (places.size() == 1 || places.stream().anyMatch(place -> out.equals(Optional.of(place.address())))) {
            return places.size() == 1 ? places.get(0).address() : out.orElseThrow();
        }
        throw new CannotStartException(
                places.isEmpty()
                        ? "This machine has no private address: connect it to the network of the house first."
                        : "This machine has %s. Choose one, such as --lan %s"
                                .formatted(told(places), places.get(0).address().getHostAddress()));
    }

    private static Optional<InetAddress> wayOut() {
        try (DatagramSocket socket = new DatagramSocket()) {
            socket.connect(OUT);
            return Optional.of(socket.getLocalAddress());
        } catch (SocketException | UncheckedIOException noWay) {
            return Optional.empty();
        }
    }

    private record Place(InetAddress address, String network) {}

    /** The private addresses of this machine, the short ones first. */
    private static List<Place> here() {
        try {
            Map<InetAddress, String> found = NetworkInterface.networkInterfaces()
                    .filter(LanAddress::isUp)
                    .flatMap(network -> network.inetAddresses().map(each -> new Place(plain(each), network.getName())))
                    .filter(place -> PrivateAddresses.isPrivate(place.address()))
                    .collect(Collectors.toMap(Place::address, Place::network, (one, other) -> one));
            return found.entrySet().stream()
                    .map(each -> new Place(each.getKey(), each.getValue()))
                    .sorted(Comparator.comparing((Place place) -> !(place.address() instanceof Inet4Address))
                            .thenComparing(place -> place.address().getHostAddress()))
                    .toList();
        } catch (SocketException e) {
            throw new CannotStartException("The addresses of this machine cannot be told: " + e.getMessage(), e);
        }
    }

    /** Without the name of its network, which Java keeps in the longer addresses. */
    private static InetAddress plain(InetAddress address) {
        try {
            return InetAddress.getByAddress(address.getAddress());
        } catch (UnknownHostException e) {
            throw new IllegalStateException("an address of this machine has a wrong length", e);
        }
    }

    private static boolean isUp(NetworkInterface network) {
        try {
            return network.isUp();
        } catch (SocketException gone) {
            return false;
        }
    }

    private static String told(List<Place> places) {
        return places.isEmpty()
                ? "no private one"
                : places.stream()
                        .map(place -> place.address().getHostAddress() + " (" + place.network() + ")")
                        .collect(Collectors.joining(", "));
    }
}
