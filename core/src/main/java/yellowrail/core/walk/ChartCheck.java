package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Freshness;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;

/**
 * Holds every node of a chart against what it should read: scaled to the mains it was read at, against its twin,
 * against itself in the last run.
 */
public final class ChartCheck {

    /** Outside these a reading of the mains is none, over the mains of the expectation. */
    private static final double LEAST_MAINS = 0.5;

    private static final double MOST_MAINS = 2;

    private final AmpSheet sheet;
    private final VoltageChart chart;
    private final Map<String, NodeStanding> standings = new HashMap<>();

    /** @param earlier what the nodes read in the last run, by label in lower case */
    public ChartCheck(Timeline timeline, Map<String, Earlier> earlier) {
        AmpSheet sheet = timeline.present().sheet();
        this.sheet = sheet;
        this.chart = sheet.chart();
        for (ChartNode node : chart.nodes()) {
            put(read(node, timeline, sheet));
        }
        for (ChartNode node : chart.nodes()) {
            put(new Family(this, earlier).judged(of(node)));
        }
        Causes causes = new Causes(this);
        for (ChartNode node : chart.nodes()) {
            NodeStanding standing = of(node);
            put(standing.saying(causes.of(standing)));
        }
    }

    /** The chart of an amp of which nothing was read. */
    public static ChartCheck unread(AmpSheet sheet) {
        return new ChartCheck(Timeline.of(TubeCatalogue.published(), sheet, Moment.EMPTY, List.of()), Map.of());
    }

    private void put(NodeStanding standing) {
        standings.put(ChartNode.key(standing.node().label()), standing);
    }

    private static NodeStanding read(ChartNode node, Timeline timeline, AmpSheet sheet) {
        Optional<Reading> reading = timeline.present().moment().at(ReadingKind.NODE, node.label());
        OptionalDouble mains = (reading.isPresent()
                        ? reading.flatMap(timeline::mainsAt)
                        : timeline.present().moment().last(ReadingKind.MAINS))
                .map(found -> OptionalDouble.of(found.value()))
                .orElse(OptionalDouble.empty());
        Optional<Expected.Window> window =
                node.expected().map(expected -> expected.at(ratio(mains, expected.mains()), node.mainsExponent()));
        double plusMinus = reading.map(found ->
                        sheet.meter().ofVolts(found.value(), found.entry().lastDigit()))
                .orElse(0.0);
        return new NodeStanding(
                node,
                reading,
                plusMinus,
                reading.map(timeline.present()::freshness).orElse(Freshness.FRESH),
                mains,
                window,
                verdict(node, reading, window),
                List.of());
    }

    private static double ratio(OptionalDouble read, OptionalDouble given) {
        double ratio = read.isEmpty() || given.isEmpty() ? 1 : read.getAsDouble() / given.getAsDouble();
        return ratio > LEAST_MAINS && ratio < MOST_MAINS ? ratio : 1;
    }

    private static NodeVerdict verdict(ChartNode node, Optional<Reading> reading, Optional<Expected.Window> window) {
        if (reading.isEmpty()) {
            return NodeVerdict.NOT_READ;
        }
        double volts = reading.get().value();
        if (node.bank()
                .map(Bank::ratedVolts)
                .filter(rated -> Math.abs(volts) > rated)
                .isPresent()) {
            return NodeVerdict.OVER_RATING;
        }
        if (!reading.get().entry().words().isEmpty()) {
            return NodeVerdict.PULSING;
        }
        return window.map(each -> each.holds(volts)
                        ? NodeVerdict.INSIDE
                        : volts < each.low() ? NodeVerdict.LOW : NodeVerdict.HIGH)
                .orElse(NodeVerdict.NOT_JUDGED);
    }

    /** The amp as it stands now. */
    public AmpSheet sheet() {
        return sheet;
    }

    public VoltageChart chart() {
        return chart;
    }

    public NodeStanding of(ChartNode node) {
        return standings.get(ChartNode.key(node.label()));
    }

    Optional<NodeStanding> of(String label) {
        return Optional.ofNullable(standings.get(ChartNode.key(label)));
    }

    Optional<NodeStanding> feeder(ChartNode node) {
        return node.feed().flatMap(feed -> of(feed.from()));
    }

    /** The nodes in the order of the chart. */
    public List<NodeStanding> standings() {
        return chart.nodes().stream().map(this::of).toList();
    }

    /** What is wrong, what wants attention first first; among equals what is farther off. */
    public List<NodeStanding> wrong() {
        return standings().stream()
                .filter(standing -> standing.verdict().isWrong())
                .sorted(Comparator.comparing(NodeStanding::verdict)
                        .thenComparing(Comparator.comparingDouble((NodeStanding each) -> Math.abs(each.off()))
                                .reversed()))
                .toList();
    }

    public List<NodeStanding> notRead() {
        return standings().stream().filter(standing -> !standing.isRead()).toList();
    }

    /** How the chart was compared, where that wants saying. */
    public List<WalkFinding> compared() {
        List<WalkFinding> says = new ArrayList<>();
        List<NodeStanding> read = standings().stream()
                .filter(standing -> standing.isRead() && standing.window().isPresent())
                .toList();
        if (read.stream().anyMatch(standing -> standing.mains().isEmpty())) {
            says.add(new WalkFinding.MainsNotRead());
        }
        read.stream()
                .filter(standing ->
                        standing.node().expected().orElseThrow().mains().isEmpty())
                .findFirst()
                .ifPresent(standing -> says.add(
                        new WalkFinding.ExpectedWithoutMains(standing.node().label())));
        return says;
    }
}
