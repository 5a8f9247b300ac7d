package yellowrail.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.Hangs;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Preset;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.amp.node.VoltageChart;

/** As many nodes as a chart may have: supplies in a chain, stages of every kind on each. */
public final class LargeChart {

    public static final VoltageChart OF_200 = new VoltageChart(nodes());

    private LargeChart() {}

    private static List<ChartNode> nodes() {
        List<ChartNode> nodes = new ArrayList<>();
        for (int rail = 0; nodes.size() < VoltageChart.MOST_NODES; rail++) {
            String name = "B" + rail;
            nodes.add(new ChartNode(
                    name,
                    NodeKind.SUPPLY,
                    false,
                    Optional.of(expected(450 - 20 * rail)),
                    "",
                    "",
                    rail == 0
                            ? Optional.empty()
                            : Optional.of(new Feed("B" + (rail - 1), Optional.of(Resistor.of(2200)), false)),
                    Optional.empty(),
                    Optional.of(new Bank(22e-6, 500, 1, OptionalDouble.empty())),
                    rail == 0 ? Hangs.STAGE : Hangs.NOTHING,
                    Channel.MONO));
            for (Preset preset : Preset.values()) {
                preset.nodes("V%d%c".formatted(rail, 'a' + preset.ordinal()), name).stream()
                        .map(node -> node.expecting(expected(node.kind() == NodeKind.CATHODE ? 1.5 : 200)))
                        .forEach(nodes::add);
            }
        }
        return nodes.subList(0, VoltageChart.MOST_NODES);
    }

    private static Expected expected(double volts) {
        return Expected.of(volts, Expected.Source.SCHEMATIC, OptionalDouble.of(120));
    }

    /** Every node read, every seventh of them wrong. */
    public static String[] lines() {
        List<String> lines = new ArrayList<>(List.of("mains 118.5", "V1 36.4", "V2 35.1", "plate 452"));
        for (int i = 0; i < OF_200.nodes().size(); i++) {
            ChartNode node = OF_200.nodes().get(i);
            double volts = node.expected().orElseThrow().middle() * (i % 7 == 0 ? 0.6 : 0.97);
            lines.add("at %s %.2f".formatted(node.label(), volts));
        }
        return lines.toArray(String[]::new);
    }
}
