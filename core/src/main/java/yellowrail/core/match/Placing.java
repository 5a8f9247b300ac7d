package yellowrail.core.match;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;

/**
 * Who sits in which socket: every order of up to eight tubes is tried. First comes the least imbalance between push and
 * pull, summed over the channels, then the least spread within each channel, then the fewest tubes moved.
 */
public final class Placing {

    /** Differences smaller than this are none, A. */
    private static final double SAME = 1e-12;

    private final List<Candidate> tubes;
    private final List<Socket> sockets;
    private final List<Channel> channels;

    /**
     * A seating and what it comes to.
     *
     * @param tubes in the order of the sockets
     */
    public record Seating(List<Socket> sockets, List<Candidate> tubes) {

        public Seating {
            sockets = List.copyOf(sockets);
            tubes = List.copyOf(tubes);
        }

        /** Difference of the sides, A, by channel; a single-ended channel has none. */
        public Map<Channel, Double> imbalance() {
            Map<Channel, Double> imbalance = new LinkedHashMap<>();
            channels(sockets)
                    .forEach(channel ->
                            imbalance.put(channel, Math.abs(side(channel, Side.PUSH) - side(channel, Side.PULL))));
            return imbalance;
        }

        /** The sum of one side's currents, A. */
        public double side(Channel channel, Side side) {
            return IntStream.range(0, sockets.size())
                    .filter(i -> sockets.get(i).channel() == channel
                            && sockets.get(i).side() == side)
                    .mapToDouble(i -> tubes.get(i).amps())
                    .sum();
        }
    }

    /**
     * @param tubes as many as there are sockets, in the order of the sockets they sit in now
     * @param sockets at most {@value AmpSheet#MOST_SOCKETS}
     */
    public Placing(List<Candidate> tubes, List<Socket> sockets) {
        if (tubes.size() != sockets.size() || sockets.isEmpty() || sockets.size() > AmpSheet.MOST_SOCKETS) {
            throw new IllegalArgumentException(
                    "placing takes as many tubes as sockets, 1 to %d, was %d tubes for %d sockets"
                            .formatted(AmpSheet.MOST_SOCKETS, tubes.size(), sockets.size()));
        }
        this.tubes = List.copyOf(tubes);
        this.sockets = List.copyOf(sockets);
        this.channels = channels(sockets);
    }

    private static List<Channel> channels(List<Socket> sockets) {
        return Stream.of(Channel.values())
                .filter(channel -> sockets.stream().anyMatch(socket -> socket.channel() == channel))
                .toList();
    }

    /** The tubes where they sit now. */
    public Seating present() {
        return new Seating(sockets, tubes);
    }

    /** The best seating; the present one where nothing is better. */
    public Seating best() {
        Search search = new Search();
        search.from(0);
        return new Seating(
                sockets, IntStream.of(search.best).mapToObj(tubes::get).toList());
    }

    /** Goes through all orders; working state of one search. */
    private final class Search {

        private final int[] order = IntStream.range(0, tubes.size()).toArray();
        private int[] best = order.clone();
        private double[] least = worth();

        private void from(int place) {
            if (place == order.length) {
                double[] worth = worth();
                if (isLess(worth, least)) {
                    least = worth;
                    best = order.clone();
                }
                return;
            }
            for (int i = place; i < order.length; i++) {
                swap(place, i);
                from(place + 1);
                swap(place, i);
            }
        }

        private void swap(int i, int j) {
            int moved = order[i];
            order[i] = order[j];
            order[j] = moved;
        }

        private double[] worth() {
            double imbalance = 0;
            double spread = 0;
            for (Channel channel : channels) {
                double difference = 0;
                double low = Double.POSITIVE_INFINITY;
                double high = Double.NEGATIVE_INFINITY;
                for (int i = 0; i < order.length; i++) {
                    if (sockets.get(i).channel() == channel) {
                        double amps = tubes.get(order[i]).amps();
                        difference += sockets.get(i).side() == Side.PUSH
                                ? amps
                                : sockets.get(i).side() == Side.PULL ? -amps : 0;
                        low = Math.min(low, amps);
                        high = Math.max(high, amps);
                    }
                }
                imbalance += Math.abs(difference);
                spread += high - low;
            }
            return new double[] {
                imbalance,
                spread,
                IntStream.range(0, order.length).filter(i -> order[i] != i).count()
            };
        }
    }

    private static boolean isLess(double[] one, double[] other) {
        for (int i = 0; i < one.length; i++) {
            if (Math.abs(one[i] - other[i]) > SAME) {
                return one[i] < other[i];
            }
        }
        return false;
    }

    /** The sockets whose tube changes, in the order of the sheet. */
    public List<Socket> moved(Seating to) {
        List<Socket> moved = new ArrayList<>();
        for (int i = 0; i < sockets.size(); i++) {
            if (!to.tubes().get(i).equals(tubes.get(i))) {
                moved.add(sockets.get(i));
            }
        }
        return moved;
    }
}
