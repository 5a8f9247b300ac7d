package yellowrail.core.map;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.chart.Point;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.move.Landing;
import yellowrail.core.move.NextMove;
import yellowrail.core.tube.TubeType;

/**
 * The operating map of a stage, in volts and amps.
 *
 * @param fromVolts left edge
 * @param toVolts right edge
 * @param toAmps upper edge; the lower is zero
 * @param rating the dissipation limit, left to right
 * @param low the window's cold edge
 * @param aim where to land
 * @param high the window's hot edge, never above the rating, but where it was chosen so
 * @param tracks the tubes' paths
 * @param forecast the supply line and where the next move lands
 */
public record OperatingMap(
        double fromVolts,
        double toVolts,
        double toAmps,
        List<Point> rating,
        List<Point> low,
        List<Point> aim,
        List<Point> high,
        List<Track> tracks,
        Forecast forecast) {

    private static final int CURVE_POINTS = 41;
    private static final double VOLTS_STEP = 25;
    private static final double AMPS_STEP = 0.01;

    /** @return the map that shows these tracks, or an empty one around the type's usual voltages */
    public static OperatingMap of(StageIdle stage, List<Track> tracks) {
        return of(stage, tracks, Optional.empty());
    }

    /** The same with a next move: its landing is in the picture, the supply line drawn through it. */
    public static OperatingMap of(StageIdle stage, List<Track> tracks, NextMove move) {
        return of(stage, tracks, Optional.of(move));
    }

    private static OperatingMap of(StageIdle stage, List<Track> tracks, Optional<NextMove> move) {
        List<Landing.Tube> landings =
                move.flatMap(NextMove::landing).map(Landing::tubes).orElse(List.of());
        double[] volts = DoubleStream.concat(
                        tracks.stream()
                                .flatMap(track -> track.points().stream())
                                .mapToDouble(Point::x),
                        landings.stream().mapToDouble(Landing.Tube::plateVolts))
                .toArray();
        Goal goal = stage.weakest().orElseThrow();
        double usual = Math.min(450, goal.rating().plateVolts().orElse(400));
        double lowest = DoubleStream.of(volts).min().orElse(0.8 * usual);
        double highest = DoubleStream.of(volts).max().orElse(usual);
        double from = Math.max(VOLTS_STEP, VOLTS_STEP * Math.floor(0.9 * lowest / VOLTS_STEP));
        double to = Math.max(from + 4 * VOLTS_STEP, VOLTS_STEP * Math.ceil(1.06 * highest / VOLTS_STEP));
        double watts = goal.rating().plateWatts();
        double greatest = DoubleStream.concat(
                        tracks.stream()
                                .flatMap(track -> track.points().stream())
                                .mapToDouble(Point::y),
                        landings.stream().mapToDouble(Landing.Tube::plateAmps))
                .max()
                .orElse(0);
        double toAmps = AMPS_STEP * Math.ceil(1.12 * Math.max(greatest, watts / lowest) / AMPS_STEP);
        Window window = new Window(stage, goal);
        return new OperatingMap(
                from,
                to,
                toAmps,
                curve(from, to, v -> watts / v),
                curve(from, to, window::low),
                curve(from, to, window::aim),
                curve(from, to, window::high),
                tracks,
                move.map(found -> Forecast.of(found, from, to)).orElse(Forecast.NONE));
    }

    private static List<Point> curve(double from, double to, DoubleUnaryOperator amps) {
        return IntStream.range(0, CURVE_POINTS)
                .mapToDouble(i -> from + (to - from) * i / (CURVE_POINTS - 1))
                .mapToObj(v -> new Point(v, amps.applyAsDouble(v)))
                .toList();
    }

    /**
     * The goal's edges as plate current at a plate voltage; those of the tube that stands least, where several types
     * sit.
     */
    private record Window(StageIdle stage, Goal goal) {

        double low(double volts) {
            return edge(goal.at(volts).low(), volts);
        }

        double aim(double volts) {
            return edge(goal.at(volts).aim(), volts);
        }

        double high(double volts) {
            return edge(goal.at(volts).high(), volts);
        }

        private double edge(double figure, double volts) {
            double limit = goal.rating().plateWatts() / volts;
            double amps = switch (goal.window().school().basis()) {
                case PERCENT -> figure * limit;
                case MILLIAMPS -> figure * platePart();
                case TEST_POINT -> atTestPoint(figure);
            };
            return Math.min(amps, goal.mostRatio() * limit);
        }

        /** Plate current as a part of cathode current. */
        private double platePart() {
            return stage.sheet().screen().way() == ScreenSense.Way.NOT_DEDUCTED
                    ? 1
                    : 1 - stage.mainType().map(TubeType::screenShare).orElse(0.0);
        }

        private double atTestPoint(double reading) {
            AmpSheet sheet = stage.sheet();
            int shared = sheet.socketsAt(sheet.testPoints().get(0)).size();
            double through = reading / sheet.current().ohms().orElse(1) / shared;
            return sheet.current().method().yields() == CurrentMethod.Yields.PLATE ? through : through * platePart();
        }
    }
}
