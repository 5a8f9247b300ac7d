package yellowrail.web.bias;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.bias.cathode.Bypass;
import yellowrail.core.bias.cathode.CathodeChart;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.cathode.CathodeGroup;
import yellowrail.core.bias.cathode.CathodeIdle;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.part.ResistorBank;
import yellowrail.core.part.TwoResistors;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/**
 * Cathode resistors as columns of a table, and the crossing of the first of them drawn.
 *
 * @param says one sentence
 * @param pairs the exact value made of two
 * @param banks made of what is in the drawer; null where none was named
 */
record CathodeView(String says, List<Column> columns, List<String> pairs, List<String> banks, Chart chart) {

    /** A resistor and the idle it gives. */
    record Column(
            String name,
            String amps,
            String plates,
            boolean over,
            String lost,
            String burns,
            String rating,
            String bypass,
            String query,
            String high,
            boolean highOver,
            String low,
            String dead,
            boolean deadOver) {}

    /** The crossing, in SVG coordinates. */
    record Chart(
            Plot frame,
            List<Plot.Tick> across,
            List<Plot.Tick> up,
            String tubes,
            String resistor,
            Place idle,
            String volts,
            String milliamps) {}

    static final double HIGH = 1.1;
    private static final double LOW = 0.9;

    static CathodeView of(CathodeForm.Asked asked, CathodeDesign design, GridNeed need, Words words) {
        double exact = design.exactOhms();
        List<CathodeIdle> idles = new ArrayList<>();
        asked.own().ifPresent(ohms -> idles.add(design.group().at(ohms)));
        int own = idles.size();
        idles.add(design.group().at(exact));
        idles.addAll(design.around(StandardValues.E12));
        CathodeIdle first = idles.get(0);
        return new CathodeView(
                words.message(
                        "page.cathode.says",
                        Figures.resistance(exact),
                        Figures.volts(exact
                                * design.group().tubes().size()
                                * idles.get(own).meanAmps())),
                idles.stream()
                        .map(idle -> column(design.group(), idle, asked.bypass(), need, words))
                        .toList(),
                TwoResistors.near(exact, StandardValues.E12).stream()
                        .limit(3)
                        .map(pair -> words.message(
                                pair.parallel() ? "page.parts.parallel" : "page.parts.series",
                                Figures.resistance(pair.first()),
                                Figures.resistance(pair.second()),
                                Figures.fixed(100 * pair.shareOfFirst(), 0)))
                        .toList(),
                asked.drawer().isEmpty()
                        ? null
                        : new ResistorBank(asked.drawer())
                                .near(exact, idles.get(own).resistorWatts()).stream()
                                        .map(joined -> words.message(
                                                "page.cathode.bank",
                                                joined.written(),
                                                Figures.resistance(joined.ohms()),
                                                Figures.milliamps(design.group()
                                                        .at(joined.ohms())
                                                        .meanAmps())))
                                        .toList(),
                chart(CathodeChart.of(design.group(), first)));
    }

    private static Column column(
            CathodeGroup group, CathodeIdle idle, OptionalDouble bypass, GridNeed need, Words words) {
        boolean shared = group.tubes().size() > 1;
        CathodeIdle high = group.times(HIGH).at(idle.ohms());
        CathodeIdle dead = shared ? group.withoutOne().at(idle.ohms()) : idle;
        return new Column(
                Figures.resistance(idle.ohms()),
                Figures.milliamps(idle.meanAmps()),
                watts(idle, need),
                idle.hottestWatts() > need.rated(),
                Figures.volts(idle.cathodeVolts()),
                Figures.watts(idle.resistorWatts()),
                words.message(
                        "page.cathode.rating",
                        Figures.in(Unit.WATT, CathodeDesign.rating(idle)),
                        Figures.in(Unit.WATT, CathodeDesign.ratingBesideCapacitor(idle))),
                bypass(group, idle, bypass, words),
                Figures.plain(Figures.rounded(idle.ohms(), 3)),
                watts(high, need),
                high.hottestWatts() > need.rated(),
                watts(group.times(LOW).at(idle.ohms()), need),
                shared ? watts(dead, need) : "\u2013",
                shared && dead.hottestWatts() > need.rated());
    }

    /** The one that is there, or the smallest that does: its corner, how long it takes to settle, its rating. */
    private static String bypass(CathodeGroup group, CathodeIdle idle, OptionalDouble own, Words words) {
        double farads = own.orElse(Bypass.farads(group, idle));
        return words.message(
                "page.cathode.bypass-is",
                Figures.in(Unit.MICROFARAD, farads),
                Figures.fixed(Bypass.volts(idle), 0),
                Figures.fixed(Bypass.corner(group, idle, farads), 1),
                Figures.fixed(1000 * Bypass.recovery(idle, farads), 0));
    }

    private static String watts(CathodeIdle idle, GridNeed need) {
        return "%s, %s"
                .formatted(Figures.watts(idle.hottestWatts()), Figures.percent(idle.hottestWatts() / need.rated()));
    }

    private static Chart chart(CathodeChart chart) {
        Plot frame = new Plot(560, 300, 60, 16, 14, 44, 0, chart.mostVolts(), 0, chart.mostAmps(), false);
        return new Chart(
                frame,
                frame.across(6, 1),
                frame.up(5, 1e3),
                frame.line(chart.tubes()),
                frame.line(Stream.of(chart.resistor().get(0), chart.resistor().get(1))
                        .toList()),
                frame.place(chart.idle()),
                Plot.px(chart.mostVolts()),
                Plot.px(1000 * chart.mostAmps()));
    }
}
