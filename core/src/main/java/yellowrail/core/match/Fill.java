package yellowrail.core.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Socket;

/**
 * The tubes of a selection to fill an amp with: a group for each channel, of least spread of current summed over the
 * channels. Some best groups are blocks of neighbours in order of current, as {@link Blocks} says; dynamic programming
 * over the row finds so many of them.
 */
public final class Fill {

    private Fill() {}

    /**
     * @param tubes at least as many as there are sockets
     * @param sockets of which every channel has as many as any other
     * @return as many as there are sockets, channel by channel
     */
    public static List<Candidate> of(List<Candidate> tubes, List<Socket> sockets) {
        Map<Channel, Long> channels =
                sockets.stream().collect(Collectors.groupingBy(Socket::channel, Collectors.counting()));
        boolean even = channels.values().stream().distinct().count() == 1;
        int groups = even ? channels.size() : 1;
        int size = sockets.size() / Math.max(1, groups);
        if (tubes.size() < sockets.size() || size == 0) {
            throw new IllegalArgumentException(
                    "%d tubes cannot fill %d sockets".formatted(tubes.size(), sockets.size()));
        }
        List<Candidate> row = tubes.stream()
                .sorted(Comparator.comparingDouble(Candidate::amps).thenComparing(Candidate::label))
                .toList();
        return blocks(row, groups, size);
    }

    private static List<Candidate> blocks(List<Candidate> row, int groups, int size) {
        int n = row.size();
        double[][] least = new double[groups + 1][n + 1];
        for (int group = 1; group <= groups; group++) {
            least[group][0] = Double.POSITIVE_INFINITY;
            for (int i = 1; i <= n; i++) {
                least[group][i] = Math.min(least[group][i - 1], with(row, least, group, i, size));
            }
        }
        List<Candidate> found = new ArrayList<>();
        int i = n;
        for (int group = groups; group > 0; group--) {
            while (least[group][i] == least[group][i - 1]) {
                i--;
            }
            found.addAll(0, row.subList(i - size, i));
            i -= size;
        }
        return found;
    }

    /** The least spread of so many groups of which the last ends here. */
    private static double with(List<Candidate> row, double[][] least, int group, int i, int size) {
        return i < size
                ? Double.POSITIVE_INFINITY
                : least[group - 1][i - size]
                        + row.get(i - 1).amps()
                        - row.get(i - size).amps();
    }
}
