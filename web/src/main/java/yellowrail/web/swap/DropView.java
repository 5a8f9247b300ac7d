package yellowrail.web.swap;

import java.util.List;
import java.util.stream.Stream;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.core.rectifier.Exchange;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/**
 * The first capacitor\u2019s volts over what is drawn, with either rectifier on the same winding.
 *
 * @param now with the present one, as it was read
 * @param then with the other at the same current
 */
record DropView(
        String before,
        String after,
        Place now,
        Place then,
        List<Plot.Tick> across,
        List<Plot.Tick> up,
        Plot frame,
        String told) {

    private static final double ROOM = 15;

    static DropView of(Exchange exchange, String in, String wants, Words words) {
        List<Point> before = Exchange.curve(exchange.before(), exchange.amps());
        List<Point> after = Exchange.curve(exchange.after(), exchange.amps());
        double least = Stream.concat(before.stream(), after.stream())
                .mapToDouble(Point::y)
                .min()
                .orElseThrow();
        double most = Stream.concat(before.stream(), after.stream())
                .mapToDouble(Point::y)
                .max()
                .orElseThrow();
        Plot plot = new Plot(600, 280, 60, 20, 14, 46, 0, 2 * exchange.amps(), least - ROOM, most + ROOM, false);
        double now = exchange.before().volts(exchange.amps());
        return new DropView(
                plot.line(before),
                plot.line(after),
                plot.place(new Point(exchange.amps(), now)),
                plot.place(new Point(exchange.amps(), now + exchange.rise())),
                plot.across(6, 1e3),
                plot.up(5, 1),
                plot,
                words.message(
                        "page.swap.drop-told",
                        in,
                        Figures.fixed(now, 0),
                        wants,
                        Figures.fixed(now + exchange.rise(), 0),
                        Figures.fixed(1e3 * exchange.amps(), 0)));
    }
}
