package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import yellowrail.core.iron.IronFinding;
import yellowrail.core.iron.RatioMeasurement;
import yellowrail.core.iron.WorkingLoad;
import yellowrail.core.quantity.Figures;
import yellowrail.web.words.Words;

/** What the ratio bench found, as it is shown. */
record RatioView(
        List<Row> rows,
        String sets,
        List<Offer> offers,
        List<String> worksFor,
        List<String> facts,
        List<String> doubts) {

    /** A tap: its ratio, and the load with each usual speaker on it. */
    record Row(String tap, String volts, String turns, String impedance, List<String> loads, String loss) {}

    /** Something to write on the sheet: a load and the taps it goes with. */
    record Offer(String words, String loadOhms, String taps) {}

    static RatioView of(RatioMeasurement test, boolean pushPull, Words words) {
        List<Row> rows = test.found().stream()
                .map(found -> new Row(
                        found.tap().label(),
                        Figures.plain(found.tap().volts()) + " V",
                        Figures.fixed(found.turns(), 2),
                        Figures.fixed(found.impedance(), 0) + " : 1",
                        found.primaryOhms().stream()
                                .map(ohms -> kilohms(ohms) + " k")
                                .toList(),
                        found.loss()
                                .map(loss -> words.message(
                                        "page.ratio.loss",
                                        Figures.fixed(100 * loss[0], 0),
                                        Figures.fixed(100 * loss[1], 0)))
                                .orElseGet(() -> words.message("page.ratio.no-loss"))))
                .toList();
        List<String> facts = new ArrayList<>();
        test.screenTap()
                .ifPresent(tap -> facts.add(
                        words.message("page.ratio.screen-tap", Figures.percent(tap), Figures.percent(tap * tap))));
        test.corePart().ifPresent(part -> facts.add(words.message("page.ratio.core", Figures.percent(part))));
        if (test.fedSecondary()) {
            facts.add(words.say(test.caution()));
        }
        facts.add(words.message("page.ratio.meter"));
        return new RatioView(
                rows,
                sets(test, words),
                test.tapSets().stream().map(set -> offer(set, words)).toList(),
                test.tapSets().stream()
                        .map(set -> worksFor(set.primaryOhms(), pushPull, words))
                        .toList(),
                facts,
                words.say(test.doubts()));
    }

    private static String sets(RatioMeasurement test, Words words) {
        String sets = test.tapSets().stream()
                .map(set -> words.say(set.says()))
                .collect(Collectors.joining(words.message("page.ratio.or")));
        return sets.isEmpty() ? "" : words.message("page.ratio.they-fit", sets);
    }

    private static String worksFor(double ohms, boolean pushPull, Words words) {
        List<IronFinding> tubes = WorkingLoad.near(ohms, pushPull).stream()
                .<IronFinding>map(
                        each -> new IronFinding.WorksFor(each.type(), each.loadOhms(), each.plateVolts(), each.watts()))
                .toList();
        return tubes.isEmpty()
                ? words.message("page.ratio.works-for-none", kilohms(ohms))
                : words.message("page.ratio.works-for", kilohms(ohms), words.list(tubes));
    }

    private static Offer offer(RatioMeasurement.TapSet set, Words words) {
        List<String> ohms = set.speakers().stream().map(Figures::plain).toList();
        return new Offer(
                words.message("page.ratio.offer", kilohms(set.primaryOhms()), String.join(", ", ohms)),
                Figures.plain(set.primaryOhms()),
                String.join(" ", ohms));
    }

    private static String kilohms(double ohms) {
        return Figures.fixed(ohms / 1000, 2);
    }
}
