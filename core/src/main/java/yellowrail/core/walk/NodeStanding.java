package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Freshness;

/**
 * A node as it was read, or not.
 *
 * @param node the node
 * @param reading the newest of it; empty where it was not read
 * @param plusMinus half of the meter's 95 % interval, V
 * @param freshness whether that still speaks of what is on the bench
 * @param mains it was read at, or would be read at now, V; empty where that was not read
 * @param window what it should read at that mains; empty where nobody knows
 * @param verdict how it stands
 * @param says what usually makes it so, each with a test that would tell
 */
public record NodeStanding(
        ChartNode node,
        Optional<Reading> reading,
        double plusMinus,
        Freshness freshness,
        OptionalDouble mains,
        Optional<Expected.Window> window,
        NodeVerdict verdict,
        List<WalkFinding> says) {

    public NodeStanding {
        says = List.copyOf(says);
    }

    /** What was read, V; only where it was. */
    public double volts() {
        return reading.orElseThrow().value();
    }

    public boolean isRead() {
        return reading.isPresent();
    }

    /** How far it is from what it should read, as a ratio of that; 0 where nobody knows. */
    double off() {
        return window.filter(each -> each.middle() != 0 && isRead())
                .map(each -> volts() / each.middle() - 1)
                .orElse(0.0);
    }

    /** What it should read: as it was given, then as it is at the mains that was read. */
    public List<WalkFinding> expectation() {
        List<WalkFinding> says = new ArrayList<>();
        node.expected().ifPresent(expected -> {
            Optional<WalkFinding> given = expected.mains().isPresent()
                    ? Optional.of(new WalkFinding.GivenAt(expected.mains().getAsDouble()))
                    : Optional.empty();
            says.add(
                    expected.low() == expected.high()
                            ? new WalkFinding.ExpectedOne(
                                    expected.low(), expected.tolerance(), expected.source(), given)
                            : new WalkFinding.ExpectedRange(expected.low(), expected.high(), expected.source(), given));
            Expected.Window now = window.orElseThrow();
            Optional<WalkFinding> at =
                    mains.isPresent() ? Optional.of(new WalkFinding.GivenAt(mains.getAsDouble())) : Optional.empty();
            says.add(new WalkFinding.WindowNow(now.low(), now.high(), at));
        });
        return says;
    }

    NodeStanding with(NodeVerdict other, WalkFinding because) {
        return new NodeStanding(node, reading, plusMinus, freshness, mains, window, other, List.of(because));
    }

    NodeStanding saying(List<WalkFinding> others) {
        return new NodeStanding(node, reading, plusMinus, freshness, mains, window, verdict, others);
    }
}
