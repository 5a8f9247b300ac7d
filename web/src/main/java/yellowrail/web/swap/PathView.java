package yellowrail.web.swap;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.swap.CurrentPath;
import yellowrail.core.swap.CurrentPath.Stop;
import yellowrail.web.chart.Plot;
import yellowrail.web.schematic.Light;
import yellowrail.web.words.Words;

/**
 * The way of the DC as a rail with its parts as stops; above each a gauge as high as its rating.
 *
 * @param told the bottleneck in words
 */
record PathView(String told, List<Part> parts, String rail) {

    private static final double WIDTH = 900;
    private static final double RAIL = 196;
    /** A gauge\u2019s full height is the rating; what is more stands over it, so far at most. */
    private static final double GAUGE = 104;

    private static final double MOST = 1.35;

    /**
     * A part.
     *
     * @param state over, driven where only full drive is too much, held, unknown
     * @param now gauge of the tube that is in; blank where that or the rating is not known
     * @param then of the other tube
     * @param driven a line where full drive stands
     * @param rated what it is rated for
     * @param says at rest, now and then
     * @param drives at full drive
     */
    record Part(
            String kind,
            String state,
            String x,
            String name,
            String slot,
            String now,
            String then,
            String driven,
            String rated,
            String says,
            String drives) {

        /** The same on the amp\u2019s drawing. */
        private Light light(OptionalDouble asked, String shortly) {
            return new Light(state, asked, List.of(shortly, rated), told());
        }

        /** All of it in words. */
        public String told() {
            return "%s, %s: %s, %s".formatted(name, rated, says, drives);
        }
    }

    static PathView of(CurrentPath path, String in, String wants, Words words) {
        List<Part> parts = new ArrayList<>();
        double step = WIDTH / path.stops().size();
        for (int i = 0; i < path.stops().size(); i++) {
            parts.add(part(path.stops().get(i), step * (i + 0.5), words));
        }
        String told = path.bottleneck()
                .map(stop -> words.message(
                        stop.isOver() ? "page.path.over" : "page.path.least-in-hand",
                        words.name(stop.part()),
                        Figures.percent(stop.asked().getAsDouble()),
                        wants))
                .orElseGet(() -> words.message("page.path.nothing-rated"));
        return new PathView(
                told + " " + words.message("page.path.legend", in, wants),
                parts,
                "M0 %sH%s".formatted(Plot.px(RAIL), Plot.px(WIDTH)));
    }

    /** Each part as it is lit on the amp\u2019s drawing. */
    static Map<OnTheWay, Light> lights(CurrentPath path, Words words) {
        Map<OnTheWay, Light> lights = new EnumMap<>(OnTheWay.class);
        path.stops()
                .forEach(stop -> lights.put(
                        stop.part(), part(stop, 0, words).light(over(stop.then(), stop.rated()), shortly(stop))));
        return lights;
    }

    private static Part part(Stop stop, double x, Words words) {
        String state =
                stop.asked().isEmpty() ? "unknown" : stop.isOver() ? "over" : stop.isOverDriven() ? "driven" : "held";
        return new Part(
                Code.of(stop.part()),
                state,
                Plot.px(x),
                words.name(stop.part()),
                gauge(x - 26, 52, OptionalDouble.of(1)),
                gauge(x - 24, 22, over(stop.now(), stop.rated())),
                gauge(x + 2, 22, over(stop.then(), stop.rated())),
                line(x + 2, over(stop.driven(), stop.rated())),
                stop.rated().isPresent()
                        ? figure(stop.unit(), stop.rated())
                        : words.message(stop.part() == OnTheWay.OUTPUT ? "page.path.not-rated" : "page.path.not-known"),
                words.message("page.path.now-then", figure(stop.unit(), stop.now()), figure(stop.unit(), stop.then())),
                words.message("page.path.driven", figure(stop.unit(), stop.driven())));
    }

    private static OptionalDouble over(OptionalDouble value, OptionalDouble rated) {
        return value.isPresent() && rated.isPresent()
                ? OptionalDouble.of(Math.min(MOST, value.getAsDouble() / rated.getAsDouble()))
                : OptionalDouble.empty();
    }

    private static String gauge(double x, double width, OptionalDouble part) {
        return part.isEmpty()
                ? ""
                : "M%s %sh%sv%sh%sz"
                        .formatted(
                                Plot.px(x),
                                Plot.px(RAIL - 20),
                                Plot.px(width),
                                Plot.px(-GAUGE * part.getAsDouble()),
                                Plot.px(-width));
    }

    private static String line(double x, OptionalDouble part) {
        return part.isEmpty() ? "" : "M%s %sh22".formatted(Plot.px(x), Plot.px(RAIL - 20 - GAUGE * part.getAsDouble()));
    }

    /** Now and then with the unit once. */
    private static String shortly(Stop stop) {
        return figure(stop.unit(), stop.now()).replaceAll(" .*", "") + "\u2192" + figure(stop.unit(), stop.then());
    }

    private static String figure(Unit unit, OptionalDouble value) {
        if (value.isEmpty()) {
            return "?";
        }
        return unit == Unit.WATT
                ? Figures.fixed(value.getAsDouble(), 1) + " W"
                : Figures.fixed(1e3 * value.getAsDouble(), 0) + " mA";
    }
}
