package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.Line;
import yellowrail.core.tone.PowerSpectrum;
import yellowrail.core.tone.SpectrumTrace;
import yellowrail.core.tone.Tone;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;

/**
 * A spectrum in SVG coordinates, decibels of the fundamental: what was heard as a line, each harmonic and each multiple
 * of the mains as it was fitted.
 *
 * @param resolution between two points of the line, Hz
 */
record SpectrumView(Plot frame, List<Tick> across, List<Tick> up, String line, List<Mark> marks, double resolution) {

    private static final int COLUMNS = 560;
    private static final double TOP = 5;
    private static final double LEAST_DEPTH = -100;
    private static final double STEP = 20;
    /** Two names nearer than this stand in each other's way, px. */
    private static final double NAME = 20;

    private static final int MOST_HUM = 4;

    /** A fitted line: a stroke from its height down, its name above where there is room. */
    record Mark(String path, Place at, String name, String look) {}

    static SpectrumView of(double[] samples, int perSecond, Tone tone, boolean linear) {
        PowerSpectrum spectrum = new PowerSpectrum(samples, perSecond);
        double high = Math.min(tone.band().high(), perSecond / 2.0);
        Band shown = new Band(tone.band().low(), high);
        SpectrumTrace trace = SpectrumTrace.of(spectrum, tone.fundamental().power(), shown, COLUMNS, !linear);
        double lowest =
                trace.points().stream().mapToDouble(point -> point.y()).min().orElse(LEAST_DEPTH);
        double depth = Math.max(SpectrumTrace.FLOOR, Math.min(LEAST_DEPTH, STEP * Math.floor(lowest / STEP)));
        Plot plot = new Plot(760, 340, 52, 30, 26, 40, linear ? 0 : shown.low(), high, depth, TOP, !linear);
        return new SpectrumView(
                plot,
                plot.across(8, 1),
                plot.up(7, 1),
                plot.line(trace.points()),
                marks(tone, plot),
                trace.resolution());
    }

    private static List<Mark> marks(Tone tone, Plot plot) {
        List<Mark> marks = new ArrayList<>();
        double last = Double.NEGATIVE_INFINITY;
        for (int order = 1; order <= tone.harmonics().size(); order++) {
            Line line = tone.harmonics().get(order - 1);
            boolean room = plot.x(line.hertz()) - last > NAME;
            last = add(marks, plot, tone, line, room ? String.valueOf(order) : "", "harmonic") && room
                    ? plot.x(line.hertz())
                    : last;
        }
        tone.hum().stream()
                .limit(MOST_HUM)
                .forEach(line -> add(
                        marks,
                        plot,
                        tone,
                        line,
                        Math.round(line.hertz() / tone.mains()) <= 2
                                ? String.valueOf(Math.round(tone.mains() * Math.round(line.hertz() / tone.mains())))
                                : "",
                        "hum"));
        return marks;
    }

    /** @return whether it lies in the drawing */
    private static boolean add(List<Mark> marks, Plot plot, Tone tone, Line line, String name, String look) {
        double height = SpectrumTrace.decibels(line.power() / tone.fundamental().power());
        if (!tone.standsOut(line)
                || line.hertz() > plot.toX()
                || line.hertz() < plot.fromX()
                || height < plot.fromY()) {
            return false;
        }
        double x = plot.x(line.hertz());
        double y = plot.y(height);
        marks.add(new Mark(
                "M%s %sV%s".formatted(Plot.px(x), Plot.px(y), Plot.px(plot.y(plot.fromY()))),
                Place.of(x, y - 6),
                name,
                look));
        return true;
    }
}
