package yellowrail.core.walk;

import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.NodeKind;

/** Whether a node reads as its twin does, and as it did itself in the last run. */
final class Family {

    /** Two triodes of one box on their own cathode resistors differ by so much and are good, as a ratio of the mean. */
    private static final double TWIN_CATHODES = 0.20;

    private static final double TWINS = 0.10;
    /** Below it a difference is none whatever its ratio, V. */
    private static final double NO_DIFFERENCE = 0.2;

    private final ChartCheck check;
    private final Map<String, Earlier> earlier;

    Family(ChartCheck check, Map<String, Earlier> earlier) {
        this.check = check;
        this.earlier = earlier;
    }

    NodeStanding judged(NodeStanding standing) {
        if (!standing.isRead()
                || standing.verdict() == NodeVerdict.OVER_RATING
                || standing.verdict() == NodeVerdict.PULSING) {
            return standing;
        }
        return unlikeItsTwin(standing)
                .or(() -> unlikeLastRun(standing))
                .map(because -> standing.with(NodeVerdict.OUT_OF_FAMILY, because))
                .orElse(standing);
    }

    /** Of two that differ it is the one that is farther from what it should read; both where nobody knows. */
    private Optional<WalkFinding> unlikeItsTwin(NodeStanding standing) {
        Optional<NodeStanding> twin = twin(standing.node())
                .filter(other -> other.isRead()
                        && other.verdict() != NodeVerdict.PULSING
                        && other.freshness().isFresh()
                        && standing.freshness().isFresh());
        if (twin.isEmpty()) {
            return Optional.empty();
        }
        double mean = (standing.volts() + twin.get().volts()) / 2;
        double allowed = standing.node().kind() == NodeKind.CATHODE ? TWIN_CATHODES : TWINS;
        boolean differ =
                differ(standing, twin.get().volts(), mean, allowed, twin.get().plusMinus());
        return differ && Math.abs(standing.off()) >= Math.abs(twin.get().off())
                ? Optional.of(new WalkFinding.UnlikeItsTwin(
                        standing.node().label(),
                        standing.volts(),
                        twin.get().node().label(),
                        twin.get().volts()))
                : Optional.empty();
    }

    private Optional<NodeStanding> twin(ChartNode node) {
        return node.twin().isBlank()
                ? check.chart().nodes().stream()
                        .filter(other -> node.isCalled(other.twin()))
                        .findFirst()
                        .map(check::of)
                : check.of(node.twin());
    }

    private Optional<WalkFinding> unlikeLastRun(NodeStanding standing) {
        Earlier before = earlier.get(ChartNode.key(standing.node().label()));
        if (before == null) {
            return Optional.empty();
        }
        boolean known = standing.mains().isPresent() && before.mains().isPresent();
        double ratio = known ? standing.mains().getAsDouble() / before.mains().getAsDouble() : 1;
        double scaled = before.volts() * Math.pow(ratio, standing.node().mainsExponent());
        return differ(standing, scaled, scaled, Expected.Source.EARLIER_RUN.tolerance(), 0)
                ? Optional.of(new WalkFinding.UnlikeLastRun(
                        standing.node().label(), standing.volts(), before.volts(), scaled))
                : Optional.empty();
    }

    private static boolean differ(NodeStanding standing, double other, double of, double allowed, double plusMinus) {
        double apart = Math.abs(standing.volts() - other);
        return apart > allowed * Math.abs(of)
                && apart > Math.hypot(standing.plusMinus(), plusMinus)
                && apart > NO_DIFFERENCE;
    }
}
