package yellowrail.web.heater;

import java.util.List;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.heater.HeaterBudget;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/**
 * A winding as the page shows it.
 *
 * @param parts what takes how much of its bar
 * @param rated where on the bar its rating is; 0 where that is not known
 */
record HeaterView(String label, String volts, boolean over, List<Part> parts, double rated, List<String> says) {

    private static final double WIDTH = 400;
    /** A bar ends that much behind what is the longer, its rating or its load. */
    private static final double ROOM = 1.1;

    /** A load as a piece of the bar. */
    record Part(String name, double from, double width) {}

    static HeaterView of(HeaterBudget budget, Words words) {
        HeaterWinding winding = budget.winding();
        double rated = winding.ratedAmps().orElse(0);
        double scale = WIDTH / (ROOM * Math.max(1e-9, Math.max(rated, budget.amps())));
        double[] at = {0};
        List<Part> parts = budget.each().entrySet().stream()
                .map(load -> {
                    double width = scale * load.getKey().count() * load.getValue();
                    double from = at[0];
                    at[0] += width;
                    return new Part(
                            words.message(
                                    "page.heaters.load",
                                    String.valueOf(load.getKey().count()),
                                    load.getKey().type(),
                                    Figures.in(Unit.AMP, load.getValue())),
                            from,
                            width);
                })
                .toList();
        return new HeaterView(
                winding.label(),
                Figures.in(Unit.VOLT, winding.volts()),
                rated > 0 && budget.amps() > rated,
                parts,
                scale * rated,
                words.say(budget.says()));
    }
}
