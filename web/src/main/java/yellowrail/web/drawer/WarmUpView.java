package yellowrail.web.drawer;

import java.util.List;
import yellowrail.core.chart.Point;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.WarmUpFigures;
import yellowrail.core.quantity.Figures;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/** A tester's warm-up as a small curve. */
record WarmUpView(String path, List<Place> dots, Plot frame, String told) {

    private static final double ROOM = 0.15;

    /** @return null where only one figure is known */
    static WarmUpView of(TesterReading test, Words words) {
        WarmUpFigures warm = test.warming();
        if (warm.figures().size() < 2) {
            return null;
        }
        double low = warm.figures().stream()
                .mapToDouble(WarmUpFigures.Figure::amps)
                .min()
                .orElseThrow();
        double high = warm.figures().stream()
                .mapToDouble(WarmUpFigures.Figure::amps)
                .max()
                .orElseThrow();
        double room = ROOM * Math.max(high - low, 0.02 * high);
        Plot plot = new Plot(
                150, 44, 6, 6, 6, 6, warm.first().minutes(), warm.last().minutes(), low - room, high + room, false);
        var points = warm.figures().stream()
                .map(figure -> new Point(figure.minutes(), figure.amps()))
                .toList();
        String key = warm.figures().size() < 3
                ? "page.drawer.warm-ends"
                : warm.isSettled() ? "page.drawer.warm-settled" : "page.drawer.warm-moving";
        return new WarmUpView(
                plot.line(points),
                points.stream().map(plot::place).toList(),
                plot,
                words.message(
                        key,
                        TestFigure.of(test.current(), warm.first().amps()),
                        TestFigure.of(test.current(), warm.last().amps()),
                        Figures.plain(warm.last().minutes() - warm.first().minutes())));
    }
}
