package yellowrail.core.balance;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Estimate;

/**
 * The two halves of one channel's output transformer. Convention: plate currents are compared, since they are what
 * magnetises the core; imbalance is the difference, and its percentage is of the mean of the two sides.
 *
 * @param channel the channel
 * @param push sum of plate currents, A
 * @param pull sum of plate currents, A
 * @param plusMinus half width of the difference at 95 %, A
 * @param core of the transformer, and what it tolerates
 * @param unseen why there are no sums; empty when there are
 */
public record SideBalance(
        Channel channel, double push, double pull, double plusMinus, Core core, Optional<BalanceFinding> unseen) {

    /** @return one for each channel of a push-pull amp, none for a single-ended one */
    public static List<SideBalance> of(AmpSheet sheet, List<TubeIdle> tubes) {
        if (sheet.topology() == Topology.SINGLE_ENDED) {
            return List.of();
        }
        return Stream.of(Channel.values())
                .filter(channel -> sheet.sockets().stream().anyMatch(socket -> socket.channel() == channel))
                .map(channel -> channel(sheet, tubes, channel))
                .toList();
    }

    private static SideBalance channel(AmpSheet sheet, List<TubeIdle> tubes, Channel channel) {
        List<TubeIdle> here = tubes.stream()
                .filter(tube -> tube.socket().channel() == channel)
                .toList();
        Optional<String> across = here.stream()
                .map(TubeIdle::socket)
                .map(Socket::testPoint)
                .distinct()
                .filter(point -> sheet.socketsAt(point).stream()
                                .map(Socket::side)
                                .distinct()
                                .count()
                        > 1)
                .findFirst();
        if (across.isPresent()) {
            return unseen(channel, new BalanceFinding.ReadTogether(across.get()));
        }
        if (here.stream().anyMatch(tube -> tube.figures().isEmpty())) {
            return unseen(channel, new BalanceFinding.WaitsForEveryTube());
        }
        if (here.stream().anyMatch(tube -> !tube.isFresh())) {
            return unseen(channel, new BalanceFinding.WaitsForFreshReadings());
        }
        double squares = here.stream()
                .map(tube -> plate(tube).plusMinus())
                .mapToDouble(half -> half * half)
                .sum();
        return new SideBalance(
                channel,
                sum(here, Side.PUSH),
                sum(here, Side.PULL),
                Math.sqrt(squares),
                sheet.fittings().iron().core(),
                Optional.empty());
    }

    private static SideBalance unseen(Channel channel, BalanceFinding why) {
        return new SideBalance(channel, Double.NaN, Double.NaN, Double.NaN, Core.UNKNOWN, Optional.of(why));
    }

    private static double sum(List<TubeIdle> tubes, Side side) {
        return tubes.stream()
                .filter(tube -> tube.socket().side() == side)
                .mapToDouble(tube -> plate(tube).value())
                .sum();
    }

    private static Estimate plate(TubeIdle tube) {
        return tube.figures().map(IdleFigures::plateCurrent).orElseThrow();
    }

    public double imbalance() {
        return Math.abs(push - pull);
    }

    public double ratio() {
        return imbalance() / ((push + pull) / 2);
    }

    public boolean isTolerable() {
        return imbalance() <= tolerated();
    }

    /** What the core stands between the two sides, A. */
    public double tolerated() {
        return core.tolerates((push + pull) / 2);
    }
}
