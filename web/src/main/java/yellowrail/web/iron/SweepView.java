package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import yellowrail.core.chart.Point;
import yellowrail.core.csv.CsvText;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Sweep;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.words.Words;

/**
 * A sweep in SVG coordinates: power up from the left, distortion and its second and third harmonic from the right.
 *
 * @param here the line where the stage stands now
 * @param band the loads that are safe; blank where that is not asked
 * @param marks the builder\u2019s own loads
 * @param says what to read off it
 */
record SweepView(
        String title,
        String unit,
        String power,
        String distortion,
        String second,
        String third,
        List<Tick> across,
        List<Tick> watts,
        List<Tick> percent,
        Plot frame,
        String here,
        String band,
        List<Mark> marks,
        String says) {

    private static final int COUNT = 60;
    private static final double FLAT = 0.10;
    /** The name of a mark takes about so much, px. */
    private static final double NAME = 60;

    /** What is drawn, for those who do not see it. */
    public String told() {
        return title + ". " + says;
    }

    /** A load of the builder\u2019s on the sweep; its name stands beside its line, on the side with room. */
    record Mark(String path, String label, Place at, String anchor, Place dot) {}

    /** A load by its name. */
    record Named(String label, double ohms) {}

    /** Over loads from a quarter to four times the present one, wide enough for the builder\u2019s own. */
    static SweepView loads(OutputStage stage, List<Named> own, Words words) {
        Sweep sweep = loads(stage, own);
        double[] flat = sweep.within(FLAT);
        String says = words.message(
                told(stage),
                Figures.fixed(100 * FLAT, 0),
                Figures.fixed(flat[0] / 1000, 1),
                Figures.fixed(flat[1] / 1000, 1));
        return ofLoads(sweep, stage.loadOhms(), own, says, false, words);
    }

    private static Sweep loads(OutputStage stage, List<Named> own) {
        double from = Math.max(
                LoadLineForm.LEAST_LOAD,
                Math.min(
                        stage.loadOhms() / 4,
                        own.stream().mapToDouble(Named::ohms).min().orElse(stage.loadOhms()) / 1.3));
        double to = Math.min(
                LoadLineForm.MOST_LOAD,
                Math.max(
                        stage.loadOhms() * 4,
                        own.stream()
                                        .mapToDouble(Named::ohms)
                                        .filter(Double::isFinite)
                                        .max()
                                        .orElse(stage.loadOhms())
                                * 1.3));
        return Sweep.loads(stage, from, to, COUNT);
    }

    /** @param lit whether what is safe is lit */
    private static SweepView ofLoads(Sweep sweep, double here, List<Named> own, String says, boolean lit, Words words) {
        return of(
                words.message("page.sweep.loads"),
                words.message("page.sweep.loads-unit"),
                sweep,
                true,
                1e-3,
                here,
                lit ? new double[] {here / 2, here * 2} : new double[0],
                own,
                broken(says, sweep, 1e-3, "k", words));
    }

    private static String told(OutputStage stage) {
        if (!stage.isPushPull()) {
            return "page.sweep.loads-says";
        }
        return stage.otherSide().isEmpty() ? "page.sweep.loads-says-push-pull" : "page.sweep.loads-says-unlike";
    }

    /** Over loads, with what is safe: from half to twice the nominal one. */
    static SweepView taps(OutputStage stage, double nominal, List<Named> taps, Words words) {
        Sweep sweep = loads(stage.withLoad(nominal), taps);
        return ofLoads(sweep, nominal, taps, words.message("page.taps.picture"), true, words);
    }

    private static String band(Plot plot, double from, double to) {
        String left = Plot.px(plot.x(from));
        return "M%s %sH%sV%sH%sZ"
                .formatted(
                        left, Plot.px(plot.top()), Plot.px(plot.x(to)), Plot.px(plot.height() - plot.bottom()), left);
    }

    /** Power at a load between two that were computed. */
    private static double watts(List<Sweep.Point> points, double ohms) {
        for (int i = 1; i < points.size(); i++) {
            Sweep.Point before = points.get(i - 1);
            Sweep.Point after = points.get(i);
            if (ohms <= after.at()) {
                double part = (ohms - before.at()) / (after.at() - before.at());
                return before.watts() + part * (after.watts() - before.watts());
            }
        }
        return points.get(points.size() - 1).watts();
    }

    /** Over idles from cold to the rating. */
    static SweepView idles(OutputStage stage, double idleAmps, double ratedWatts, Words words) {
        double most = Math.min(
                1.05 * ratedWatts / stage.plateVolts(),
                0.95 * stage.model().plateCurrent(stage.plateVolts(), stage.screenVolts(), 0));
        Sweep sweep = Sweep.idles(
                stage,
                0.1 * most,
                Math.max(
                        most,
                        1.2 * idleAmps > 0.95 * stage.model().plateCurrent(stage.plateVolts(), stage.screenVolts(), 0)
                                ? most
                                : 1.2 * idleAmps),
                COUNT);
        double atRating = ratedWatts / stage.plateVolts();
        return of(
                words.message("page.sweep.idles"),
                words.message("page.sweep.idles-unit"),
                sweep,
                false,
                1e3,
                idleAmps,
                new double[0],
                List.of(new Named(words.message("page.sweep.rating"), atRating)),
                broken(words.message("page.sweep.idles-says", Figures.milliamps(atRating)), sweep, 1e3, "mA", words));
    }

    private static SweepView of(
            String title,
            String unit,
            Sweep sweep,
            boolean logarithmic,
            double in,
            double here,
            double[] lit,
            List<Named> marks,
            String says) {
        List<Sweep.Point> points = sweep.points();
        double from = points.get(0).at();
        double to = points.get(points.size() - 1).at();
        double most = 1.12 * Math.max(0.1, sweep.best().watts());
        double percent = Math.max(
                5,
                Math.min(
                        40,
                        110
                                * points.stream()
                                        .mapToDouble(Sweep.Point::distortion)
                                        .max()
                                        .orElse(0.05)));
        Plot power = new Plot(600, 330, 50, 50, 14, 46, from, to, 0, most, logarithmic);
        Plot ratio = new Plot(600, 330, 50, 50, 14, 46, from, to, 0, percent / 100, logarithmic);
        List<Mark> shown = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            Named mark = marks.get(i);
            if (mark.ohms() >= from && mark.ohms() <= to) {
                double x = power.x(mark.ohms());
                boolean left = x > power.width() - power.right() - NAME;
                shown.add(new Mark(
                        power.upright(mark.ohms()),
                        mark.label(),
                        Place.of(left ? x - 3 : x + 3, 30 + 15 * (i % 4)),
                        left ? "end" : "start",
                        power.place(new Point(mark.ohms(), watts(points, mark.ohms())))));
            }
        }
        return new SweepView(
                title,
                unit,
                line(power, sweep, Sweep.Point::watts),
                line(ratio, sweep, Sweep.Point::distortion),
                line(ratio, sweep, Sweep.Point::second),
                line(ratio, sweep, Sweep.Point::third),
                power.across(6, in),
                power.up(5, 1),
                ratio.up(5, 100),
                power,
                power.upright(here),
                lit.length == 0 ? "" : band(power, Math.max(from, lit[0]), Math.min(to, lit[1])),
                shown,
                says);
    }

    /** Broken where the sweep is. */
    private static String line(Plot plot, Sweep sweep, ToDoubleFunction<Sweep.Point> quantity) {
        return sweep.stretches().stream()
                .map(stretch -> plot.line(stretch.stream()
                        .map(point -> new Point(point.at(), quantity.applyAsDouble(point)))
                        .toList()))
                .collect(Collectors.joining(" "));
    }

    /** What is said, and where the curves are broken. */
    private static String broken(String says, Sweep sweep, double in, String unit, Words words) {
        return Stream.concat(
                        Stream.of(says),
                        sweep.breaks().stream()
                                .map(each -> words.message(
                                        each.jump() ? "page.sweep.jump" : "page.sweep.gap",
                                        Figures.plain(Math.round(1000 * in * each.from()) / 1000.0),
                                        Figures.plain(Math.round(1000 * in * each.to()) / 1000.0),
                                        unit)))
                .collect(Collectors.joining(" "));
    }

    /** The sweep as CSV. */
    static String csv(Sweep sweep, String first, double in) {
        List<String> header = List.of(
                first,
                "power_w",
                "thd_percent",
                "second_percent",
                "third_percent",
                "plate_dissipation_w",
                "screen_dissipation_w",
                "peak_plate_v",
                "idle_plate_ma",
                "grid_v");
        return CsvText.write(
                header, sweep.points().stream().map(point -> row(point, in)).toList());
    }

    private static List<String> row(Sweep.Point point, double in) {
        return DoubleStream.of(
                        point.at() * in,
                        point.watts(),
                        100 * point.distortion(),
                        100 * point.second(),
                        100 * point.third(),
                        point.plateWatts(),
                        point.screenWatts(),
                        point.peakPlateVolts(),
                        1e3 * point.idleAmps(),
                        point.gridVolts())
                .mapToObj(Figures::plain)
                .toList();
    }
}
