package yellowrail.web.signal;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;
import yellowrail.core.quantity.Figures;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.signal.TestSignal.Step;
import yellowrail.core.tone.SpectrumTrace;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;

/**
 * A signal in SVG coordinates: decibels of full scale over seconds.
 *
 * @param names what is heard in each step, where there is room for it
 */
record SignalView(Plot frame, List<Tick> across, List<Tick> up, String line, List<Name> names) {

    private static final double FLOOR = -100;
    private static final double TOP = 6;
    private static final double ROOM = 52;

    /** The name of a step. */
    record Name(Place at, String text) {}

    static SignalView of(TestSignal signal) {
        Plot plot = new Plot(760, 260, 52, 16, 14, 38, 0, signal.length(), FLOOR, TOP, false);
        double width = plot.x(signal.seconds()) - plot.x(0);
        int every = (int) Math.max(1, Math.ceil(ROOM / width));
        return new SignalView(
                plot,
                plot.across(8, 1),
                plot.up(5, 1),
                plot.line(signal.crests().stream()
                        .map(point -> new Point(point.x(), decibels(point.y())))
                        .toList()),
                IntStream.range(0, signal.steps().size())
                        .filter(i -> i % every == 0)
                        .mapToObj(i -> name(signal, i, plot))
                        .toList());
    }

    private static Name name(TestSignal signal, int number, Plot plot) {
        Step step = signal.steps().get(number);
        double y = decibels(step.crest());
        return new Name(
                plot.place(new Point((number + 0.5) * signal.seconds(), y), 0, y > TOP - 20 ? 20 : -8),
                heard(signal, step));
    }

    /** What tells a step from the others: its level where all have one frequency. */
    private static String heard(TestSignal signal, Step step) {
        boolean same = signal.steps().stream().allMatch(each -> each.hertz() == step.hertz());
        if (step.hertz() == 0) {
            return "";
        }
        if (step.otherHertz() > 0) {
            return hertz(step.hertz()) + " + " + hertz(step.otherHertz()) + " Hz";
        }
        return same && signal.steps().size() > 1
                ? Figures.fixed(decibels(step.crest()), 1) + " dB"
                : hertz(step.hertz()) + " Hz";
    }

    private static String hertz(double value) {
        return Figures.plain(Figures.rounded(value, 4));
    }

    private static double decibels(double crest) {
        return Math.max(FLOOR, SpectrumTrace.decibels(crest * crest));
    }
}
