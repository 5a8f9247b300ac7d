package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.VoltageChart;

/** In which order the probe goes round. */
public enum Route {
    /** As the chart was listed. */
    LISTED,
    /**
     * By tube, for the points of one socket lie beside one another: along the supply first, where the volts are
     * highest, then tube by tube in the order of their numbers.
     */
    NEAREST;

    private static final Pattern NUMBERED = Pattern.compile("([A-Za-z]+)(\\d+)([A-Za-z]?)(?:\\W.*|)");

    public List<ChartNode> of(VoltageChart chart) {
        if (this == LISTED) {
            return chart.nodes();
        }
        List<ChartNode> supplies = new ArrayList<>();
        List<ChartNode> others = new ArrayList<>();
        chart.nodes().forEach(node -> (node.kind() == NodeKind.SUPPLY ? supplies : others).add(node));
        List<ChartNode> route = new ArrayList<>(alongTheRail(chart, supplies));
        Map<String, List<ChartNode>> places = new LinkedHashMap<>();
        others.forEach(node ->
                places.computeIfAbsent(place(node), place -> new ArrayList<>()).add(node));
        places.entrySet().stream()
                .sorted(Comparator.comparingInt(place -> number(place.getKey())))
                .forEach(place -> place.getValue().stream()
                        .sorted(Comparator.comparing(Route::half))
                        .forEach(route::add));
        return route;
    }

    /** From each source on to what it feeds. */
    private static List<ChartNode> alongTheRail(VoltageChart chart, List<ChartNode> supplies) {
        List<ChartNode> along = new ArrayList<>();
        supplies.stream().filter(node -> node.feed().isEmpty()).forEach(source -> follow(chart, source, along));
        supplies.stream().filter(node -> !along.contains(node)).forEach(along::add);
        return along;
    }

    private static void follow(VoltageChart chart, ChartNode node, List<ChartNode> along) {
        along.add(node);
        chart.fedFrom(node).stream()
                .filter(each -> each.kind() == NodeKind.SUPPLY)
                .forEach(each -> follow(chart, each, along));
    }

    /** The tube it is of: V3 of "V3b plate" or of the stage V3b; what has no number by its stage or itself. */
    private static String place(ChartNode node) {
        String name = node.stage().isBlank() ? node.label() : node.stage();
        Matcher matcher = NUMBERED.matcher(name);
        return matcher.matches() ? matcher.group(1).toUpperCase(Locale.ROOT) + matcher.group(2) : name;
    }

    private static String half(ChartNode node) {
        Matcher matcher = NUMBERED.matcher(node.stage().isBlank() ? node.label() : node.stage());
        return matcher.matches() ? matcher.group(3) : "";
    }

    private static int number(String place) {
        Matcher matcher = NUMBERED.matcher(place);
        return matcher.matches()
                ? Integer.parseInt(matcher.group(2)
                        .substring(0, Math.min(6, matcher.group(2).length())))
                : Integer.MAX_VALUE;
    }
}
