package yellowrail.web.amp.document;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.Hangs;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.amp.node.VoltageChart;

/** The voltage chart as it is stored. */
record ChartPart(List<NodePart> nodes, List<WindingPart> windings) {

    /** A node. */
    record NodePart(
            String label,
            NodeKind kind,
            boolean ac,
            ExpectedPart expected,
            String stage,
            String twin,
            FeedPart feed,
            ResistorPart toGround,
            BankPart bank,
            Hangs hangs,
            Channel channel) {}

    /** What it should read. */
    record ExpectedPart(double low, double high, Expected.Source source, OptionalDouble mains, double tolerance) {}

    /** What it is fed through. */
    record FeedPart(String from, ResistorPart through, boolean choke) {}

    /** A resistor. */
    record ResistorPart(double ohms, double tolerance, OptionalDouble watts) {}

    /** Its capacitors. */
    record BankPart(double farads, double volts, int inSeries, OptionalDouble bleederOhms) {}

    /** A winding that heats. */
    record WindingPart(
            String label,
            double volts,
            OptionalDouble ratedAmps,
            OptionalDouble bare,
            OptionalDouble loaded,
            List<LoadPart> loads) {}

    /** What hangs on it. */
    record LoadPart(String type, int count, OptionalDouble amps) {}

    static ChartPart of(VoltageChart chart) {
        return new ChartPart(
                chart.nodes().stream().map(ChartPart::part).toList(),
                chart.windings().stream().map(ChartPart::part).toList());
    }

    private static WindingPart part(HeaterWinding winding) {
        return new WindingPart(
                winding.label(),
                winding.volts(),
                winding.ratedAmps(),
                winding.bare(),
                winding.loaded(),
                winding.loads().stream()
                        .map(load -> new LoadPart(load.type(), load.count(), load.amps()))
                        .toList());
    }

    private static HeaterWinding winding(WindingPart part) {
        return new HeaterWinding(
                part.label(),
                part.volts(),
                part.ratedAmps(),
                part.bare(),
                part.loaded(),
                part.loads().stream()
                        .map(load -> new HeaterWinding.Load(load.type(), load.count(), load.amps()))
                        .toList());
    }

    private static NodePart part(ChartNode node) {
        return new NodePart(
                node.label(),
                node.kind(),
                node.ac(),
                node.expected()
                        .map(each -> new ExpectedPart(
                                each.low(), each.high(), each.source(), each.mains(), each.tolerance()))
                        .orElse(null),
                node.stage(),
                node.twin(),
                node.feed()
                        .map(feed -> new FeedPart(feed.from(), part(feed.through()), feed.choke()))
                        .orElse(null),
                part(node.toGround()),
                node.bank()
                        .map(bank -> new BankPart(bank.farads(), bank.volts(), bank.inSeries(), bank.bleederOhms()))
                        .orElse(null),
                node.hangs(),
                node.channel());
    }

    private static ResistorPart part(Optional<Resistor> resistor) {
        return resistor.map(each -> new ResistorPart(each.ohms(), each.tolerance(), each.watts()))
                .orElse(null);
    }

    VoltageChart chart() {
        return new VoltageChart(
                nodes.stream().map(ChartPart::node).toList(),
                windings == null
                        ? List.of()
                        : windings.stream().map(ChartPart::winding).toList());
    }

    private static ChartNode node(NodePart part) {
        return new ChartNode(
                part.label(),
                part.kind(),
                part.ac(),
                Optional.ofNullable(part.expected())
                        .map(each ->
                                new Expected(each.low(), each.high(), each.source(), each.mains(), each.tolerance())),
                part.stage(),
                part.twin(),
                Optional.ofNullable(part.feed())
                        .map(feed -> new Feed(feed.from(), resistor(feed.through()), feed.choke())),
                resistor(part.toGround()),
                Optional.ofNullable(part.bank())
                        .map(bank -> new Bank(bank.farads(), bank.volts(), bank.inSeries(), bank.bleederOhms())),
                part.hangs(),
                part.channel());
    }

    private static Optional<Resistor> resistor(ResistorPart part) {
        return Optional.ofNullable(part).map(each -> new Resistor(each.ohms(), each.tolerance(), each.watts()));
    }
}
