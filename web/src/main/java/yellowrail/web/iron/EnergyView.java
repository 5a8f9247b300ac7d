package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.Energy;
import yellowrail.web.words.Words;

/**
 * Where what the supplies give ends, as a bar.
 *
 * @param told the whole in words
 * @param parts from the left; those that are nothing are left out
 */
record EnergyView(String told, List<Part> parts) {

    private static final double WIDTH = 1000;
    /** Below this part of the whole nothing can be seen. */
    private static final double NOTHING = 0.0005;
    /** A part as narrow as this holds no word. */
    private static final double NARROW = 90;

    /**
     * A part of the bar.
     *
     * @param kind load, copper, plates, screens or stoppers
     * @param label empty where it does not fit
     */
    record Part(String kind, String x, String width, String middle, String label, String told) {}

    static EnergyView of(Energy energy, Words words) {
        List<Part> parts = new ArrayList<>();
        double at = 0;
        at = add(parts, "load", energy.load(), energy, at, words);
        at = add(parts, "copper", energy.copper(), energy, at, words);
        at = add(parts, "plates", energy.plates(), energy, at, words);
        at = add(parts, "screens", energy.screens(), energy, at, words);
        add(parts, "stoppers", energy.stoppers(), energy, at, words);
        String list = String.join(", ", parts.stream().map(Part::told).toList());
        return new EnergyView(words.message("page.load-line.energy", Figures.fixed(energy.supplied(), 1), list), parts);
    }

    private static double add(List<Part> parts, String kind, double watts, Energy energy, double at, Words words) {
        double width = energy.supplied() > 0 ? WIDTH * watts / energy.supplied() : 0;
        if (width < WIDTH * NOTHING) {
            return at;
        }
        String told = words.message("page.load-line.energy-" + kind, Figures.fixed(watts, 1));
        parts.add(new Part(
                kind,
                Figures.fixed(at, 1),
                Figures.fixed(width, 1),
                Figures.fixed(at + width / 2, 1),
                width < NARROW ? "" : told,
                told));
        return at + width;
    }
}
