package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import yellowrail.core.iron.RatioTest;
import yellowrail.core.quantity.Figures;

/** What the ratio bench found, as it is shown. */
record RatioView(List<Row> rows, List<String> sets, List<Offer> offers, List<String> facts, List<String> doubts) {

    /** A tap: its ratio, and the load with each usual speaker on it. */
    record Row(String tap, String volts, String turns, String impedance, List<String> loads, String loss) {
    }

    /** Something to write on the sheet: a load and the taps it goes with. */
    record Offer(String words, String loadOhms, String taps) {
    }

    static RatioView of(RatioTest test) {
        List<Row> rows = test.found().stream().map(found -> new Row(found.tap().label(), Figures.plain(found.tap().volts()) + " V", Figures.fixed(found.turns(), 2), Figures.fixed(found.impedance(), 0),
                found.primaryOhms().stream().map(ohms -> Figures.fixed(ohms / 1000, 2) + " k").toList(),
                found.loss().map(loss -> String.format(Locale.ROOT, "%.0f to %.0f %%", 100 * loss[0], 100 * loss[1])).orElse("copper not known"))).toList();
        List<String> facts = new ArrayList<>();
        OptionalDouble tap = test.screenTap();
        if (tap.isPresent()) {
            facts.add("Screens\u2019 tap at %s of the half primary; %s of its impedance.".formatted(Figures.percent(tap.getAsDouble()), Figures.percent(tap.getAsDouble() * tap.getAsDouble())));
        }
        test.corePart().ifPresent(part -> facts.add("The empty transformer takes %s of the current 8 ohm would.".formatted(Figures.percent(part))));
        if (test.fedSecondary()) {
            facts.add(test.caution());
        }
        facts.add("A meter's 0.5 % on either voltage makes the impedance ratio \u00b1 1.4 %.".replace("'", "\u2019"));
        List<Offer> offers = new ArrayList<>();
        for (int first = 0; first + test.taps().size() <= RatioTest.SPEAKERS.size(); first++) {
            List<Double> ohms = RatioTest.SPEAKERS.subList(first, first + test.taps().size());
            double load = Math.pow(test.primaryVolts() / test.taps().get(0).volts(), 2) * ohms.get(0);
            String words = ohms.stream().map(Figures::plain).reduce((one, other) -> one + ", " + other).orElseThrow();
            if (test.tapSets().stream().anyMatch(set -> set.contains("for %s ohm:".formatted(words)))) {
                offers.add(new Offer("%s k with %s ohm".formatted(Figures.fixed(load / 1000, 2), words), Figures.plain(load), words.replace(",", "")));
            }
        }
        return new RatioView(rows, test.tapSets(), offers, facts, test.doubts());
    }
}
