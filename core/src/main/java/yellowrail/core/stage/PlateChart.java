package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;

/**
 * What is drawn of a stage: plate volts to the cathode across, current of one tube up. SI.
 *
 * @param volts right edge, V
 * @param amps upper edge, A
 * @param curves plate curves at grid voltages in even steps, down from 0
 * @param rating the plate dissipation's hyperbola
 * @param load the load line: push-pull the composite one of a side\u2019s share, single-ended the one of the tube
 * @param path where one tube really goes over the cycle
 * @param idle where it rests
 * @param classAEnd the point of the path where the other tube cuts off
 */
public record PlateChart(
        double volts,
        double amps,
        List<Curve> curves,
        List<Point> rating,
        List<Point> load,
        List<Point> path,
        Point idle,
        Optional<Point> classAEnd) {

    private static final int CURVES = 8;
    private static final int POINTS = 48;
    /** The lowest curve may lie so much short of the lowest grid voltage. */
    private static final double ENOUGH = 1.25;

    private static final double[] STEPS = {1, 2, 2.5, 5, 10, 20, 25};

    /** A plate curve. */
    public record Curve(double gridVolts, List<Point> points) {

        public Curve {
            points = List.copyOf(points);
        }
    }

    /** What a chart shows: from nothing up to these. */
    public record Frame(double volts, double amps) {

        /** Wide enough for a performance. */
        public static Frame around(Performance found) {
            return new Frame(
                    Math.ceil(1.05 * found.peakPlateVolts() / 50) * 50,
                    1.12 * Math.max(found.peakPlateAmps(), 1.5 * found.idle().plateAmps()));
        }
    }

    /**
     * @param ratedWatts plate dissipation the type stands, W
     * @param frame what to show; kept still while something is dragged
     */
    public static PlateChart of(Performance found, double ratedWatts, Frame frame) {
        OutputStage stage = found.stage();
        double supply = found.supplyVolts();
        double volts = frame.volts();
        double amps = frame.amps();
        double step = step(found);
        List<Curve> curves = new ArrayList<>();
        for (int i = 0; i < CURVES; i++) {
            curves.add(new Curve(-i * step, curve(found, -i * step, volts)));
        }
        List<Point> path = found.samples().stream()
                .map(sample -> new Point(sample.plateVolts(), sample.plateAmps()))
                .toList();
        Point idle = new Point(stage.plateVolts(), found.idle().plateAmps());
        return new PlateChart(
                volts,
                amps,
                curves,
                rating(ratedWatts, volts, amps),
                load(found, supply),
                path,
                idle,
                found.classAEnd().map(end -> new Point(end.plateVolts(), end.plateAmps())));
    }

    /** Where a plate reaches so many watts, within a chart. */
    public static List<Point> rating(double watts, double volts, double amps) {
        return IntStream.rangeClosed(0, POINTS)
                .mapToDouble(i -> Math.max(watts / amps, volts * i / POINTS))
                .mapToObj(at -> new Point(at, watts / at))
                .toList();
    }

    private static double step(Performance found) {
        double wanted = 1.4 * found.peakDrive() / (CURVES - 1);
        for (double step : STEPS) {
            if (ENOUGH * step >= wanted) {
                return step;
            }
        }
        return STEPS[STEPS.length - 1] * Math.ceil(wanted / STEPS[STEPS.length - 1]);
    }

    private static List<Point> curve(Performance found, double grid, double volts) {
        OutputStage stage = found.stage();
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            // Close steps at the knee, wide ones beyond it.
            double plate = volts * Math.pow((double) i / POINTS, 2);
            double screen = stage.tap() == 0
                    ? found.screenSupplyVolts()
                    : found.supplyVolts() - stage.tap() * (found.supplyVolts() - plate);
            points.add(new Point(plate, stage.model().plateCurrent(plate, screen, grid)));
        }
        return points;
    }

    private static List<Point> load(Performance found, double supply) {
        OutputStage stage = found.stage();
        double perTube = stage.totalOhms() / stage.perSideOhm() * stage.tubesPerSide();
        double rest = stage.isPushPull() ? 0 : found.plateAmps() / stage.tubes();
        return List.of(new Point(0, rest + supply / perTube), new Point(supply + rest * perTube, 0));
    }
}
