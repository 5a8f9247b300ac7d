package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import yellowrail.core.chart.Point;
import yellowrail.core.drawer.SeatIdles;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.quantity.Figures;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/**
 * What a tube did in its runs: a line each, and its idle from setting to setting as a drawing, oldest on the left.
 *
 * @param runs newest first
 * @param paths one a run
 * @param frame null where nothing was read that tells its idle
 */
record TubeRuns(List<Line> runs, List<String> paths, List<Dot> dots, List<Plot.Tick> up, Plot frame) {

    /** One run. */
    record Line(long id, String day, String where, String settings, String idle, String last) {}

    /** The idle of one setting. */
    record Dot(Place at, String told) {}

    static TubeRuns of(List<OwnTubeService.InRun> runs, Words words) {
        List<Line> lines = runs.stream().map(run -> line(run, words)).toList();
        List<List<SeatIdles.At>> oldestFirst =
                new ArrayList<>(runs.stream().map(run -> run.idles().all()).toList());
        Collections.reverse(oldestFirst);
        int settings = oldestFirst.stream().mapToInt(List::size).sum();
        if (settings == 0) {
            return new TubeRuns(lines, List.of(), List.of(), List.of(), null);
        }
        double most = oldestFirst.stream()
                .flatMap(List::stream)
                .mapToDouble(TubeRuns::amps)
                .max()
                .orElseThrow();
        Plot plot = new Plot(760, 170, 60, 16, 10, 16, -0.5, settings - 0.5, 0, 1.2 * most, false);
        List<String> paths = new ArrayList<>();
        List<Dot> dots = new ArrayList<>();
        int at = 0;
        for (List<SeatIdles.At> run : oldestFirst) {
            List<Point> points = new ArrayList<>();
            for (SeatIdles.At idle : run) {
                points.add(new Point(at++, amps(idle)));
                dots.add(new Dot(plot.place(points.get(points.size() - 1)), told(idle, words)));
            }
            if (!points.isEmpty()) {
                paths.add(plot.line(points));
            }
        }
        return new TubeRuns(lines, paths, dots, plot.up(4, 1e3), plot);
    }

    private static double amps(SeatIdles.At idle) {
        return figures(idle).cathode().value();
    }

    private static IdleFigures figures(SeatIdles.At idle) {
        return idle.tube().figures().orElseThrow();
    }

    private static String told(SeatIdles.At idle, Words words) {
        IdleFigures figures = figures(idle);
        return words.message(
                "page.drawer.idled",
                Figures.milliamps(figures.cathode().value()),
                Figures.volts(figures.plateVolts().value()),
                Figures.watts(figures.dissipation().value()));
    }

    private static Line line(OwnTubeService.InRun run, Words words) {
        List<SeatIdles.At> idles = run.idles().all();
        return new Line(
                run.run().id(),
                TubePage.DAY.format(run.run().begunAt()),
                words.message(
                        "page.drawer.socket-of",
                        run.sat().seat().socket(),
                        run.sat().seat().amp()),
                String.valueOf(idles.size()),
                idles.isEmpty()
                        ? ""
                        : words.message(
                                "page.drawer.from-to",
                                Figures.milliamps(amps(idles.get(0))),
                                Figures.milliamps(amps(idles.get(idles.size() - 1)))),
                idles.isEmpty() ? "" : told(idles.get(idles.size() - 1), words));
    }
}
