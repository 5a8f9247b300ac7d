package yellowrail.core.amp;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.node.ChartNode;

/** Where an amp's capacitors are read before hands go in: those of its chart; without one, those that every amp has. */
public final class DrainPoints {

    public static final String RESERVOIR = "reservoir";
    public static final String SCREENS = "screens";
    public static final String BIAS = "bias";

    private DrainPoints() {}

    public static List<String> of(AmpSheet sheet) {
        List<String> points = new ArrayList<>(sheet.chart().nodes().stream()
                .filter(node -> node.bank().isPresent())
                .map(ChartNode::label)
                .toList());
        if (points.isEmpty()) {
            points.add(RESERVOIR);
            points.add(SCREENS);
        }
        if (!sheet.bias().isCathode() && sheet.chart().nodes().stream().noneMatch(DrainPoints::isBias)) {
            points.add(BIAS);
        }
        return points;
    }

    /** Of all supplies that are charged, only the bias is negative. */
    private static boolean isBias(ChartNode node) {
        return node.bank().isPresent()
                && (node.isCalled(BIAS)
                        || node.expected()
                                .filter(expected -> expected.low() < 0)
                                .isPresent());
    }
}
