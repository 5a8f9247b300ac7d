package yellowrail.web.iron;

import java.util.List;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.PlateChart;
import yellowrail.core.stage.SpeakerDrive;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.PlateCurve;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.words.Words;

/**
 * Plate curves, rating, load line and the tube\u2019s path in SVG coordinates.
 *
 * @param speakers the load lines of a speaker beside its nominal one
 * @param perTube what a drag of the load line needs: ohms of the load per ohm of its slope
 * @param supply where the load line stands on the volts at the current {@code rest}, V
 * @param rest A
 */
record ChartView(
        List<PlateCurve> curves,
        String rating,
        String beyond,
        String load,
        String path,
        Place idle,
        Place handle,
        Place classAEnd,
        List<SpeakerLine> speakers,
        List<Tick> across,
        List<Tick> up,
        Plot frame,
        double volts,
        double milliamps,
        double perTube,
        double supply,
        double rest,
        String told) {

    static final Plot FRAME = new Plot(760, 500, 60, 16, 14, 46, 0, 1, 0, 1, false);

    /** The load line of a speaker at one frequency. */
    record SpeakerLine(String path, String label, Place at) {}

    static ChartView of(
            Performance found, double ratedWatts, List<SpeakerDrive> speakers, PlateChart.Frame frame, Words words) {
        PlateChart chart = PlateChart.of(found, ratedWatts, frame);
        OutputStage stage = found.stage();
        Plot plot = new Plot(
                FRAME.width(),
                FRAME.height(),
                FRAME.left(),
                FRAME.right(),
                FRAME.top(),
                FRAME.bottom(),
                0,
                chart.volts(),
                0,
                chart.amps(),
                false);
        double factor = stage.isPushPull() ? 4.0 / stage.tubesPerSide() : 1.0 / stage.tubesPerSide();
        return new ChartView(
                PlateCurve.of(chart.curves(), chart.volts(), chart.amps(), plot, false),
                plot.line(chart.rating()),
                PlateCurve.beyond(chart.rating(), chart.volts(), chart.amps(), plot),
                plot.line(chart.load()),
                plot.line(chart.path()),
                plot.place(chart.idle()),
                plot.place(chart.path().get(chart.path().size() - 1)),
                chart.classAEnd().map(plot::place).orElse(null),
                speakerLines(plot, speakers),
                plot.across(8, 1),
                plot.up(7, 1e3),
                plot,
                chart.volts(),
                1e3 * chart.amps(),
                factor,
                found.supplyVolts(),
                stage.isPushPull() ? 0 : found.plateAmps() / stage.tubes(),
                told(found, words));
    }

    private static List<SpeakerLine> speakerLines(Plot plot, List<SpeakerDrive> speakers) {
        return speakers.stream()
                .map(driven -> new SpeakerLine(
                        plot.line(driven.path()),
                        Figures.fixed(driven.speaker().hertz(), 0) + " Hz",
                        plot.place(driven.path().get(driven.path().size() / 4), 4, -6)))
                .toList();
    }

    private static String told(Performance found, Words words) {
        return words.message(
                "page.load-line.told",
                Figures.fixed(found.stage().plateVolts(), 0),
                Figures.fixed(1e3 * found.idle().plateAmps(), 1),
                Figures.fixed(found.stage().loadOhms() / 1000, 1),
                Figures.fixed(found.powerWatts(), 1));
    }
}
