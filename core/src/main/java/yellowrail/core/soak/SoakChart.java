package yellowrail.core.soak;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import yellowrail.core.chart.Point;
import yellowrail.core.drift.PointDrift;
import yellowrail.core.drift.Sample;
import yellowrail.core.drift.Series;
import yellowrail.core.drift.Trace;
import yellowrail.core.timeline.Change;
import yellowrail.core.timeline.State;
import yellowrail.core.timeline.Timeline;

/**
 * What is drawn of a soak: each test point against minutes since the setting, earlier stretches left of it, in the unit
 * of the readings or in percent of where each began.
 *
 * @param lines of each point in each stretch
 * @param marks what happened
 * @param from earliest minute, 0 or less
 * @param to latest
 * @param least value at the lower edge
 * @param most value at the upper edge
 */
public record SoakChart(List<Line> lines, List<Mark> marks, double from, double to, double least, double most) {

    /** How long before the setting it still shows, min. */
    private static final double BACK = 90;

    private static final double SHORTEST = 10;
    private static final double ROOM = 1.08;
    /** Readings of a line that are drawn; a logger has more. */
    private static final int MOST_DRAWN = 150;

    private static final double MAINS_TOLD = 0.025;
    private static final double PAD = 0.1;
    private static final double NARROWEST = 0.04;
    /** A limit farther off than so many times the range would squeeze the curves flat. */
    private static final double LIMIT_NEAR = 1.2;

    /**
     * One test point in one stretch.
     *
     * @param point its place in the order of the sheet
     * @param label the test point
     * @param readings as they were taken
     * @param fit the curve through them
     * @param low lower edge of its band
     * @param high upper edge
     * @param limit where a plate stands at its rating; empty where it is not known, or far beyond the drawing
     * @param present whether it is of the present stretch
     */
    public record Line(
            int point,
            String label,
            List<Point> readings,
            List<Point> fit,
            List<Point> low,
            List<Point> high,
            OptionalDouble limit,
            boolean present) {}

    /** Something that happened at a minute. */
    public record Mark(double minutes, SoakFinding what) {}

    /** @param percent whether in percent of where each point began */
    public static SoakChart of(Soak soak, Timeline timeline, boolean percent) {
        List<SoakStretch> stretches = soak.stretches();
        Instant setting = soak.since().orElse(Instant.EPOCH);
        List<Line> lines = new ArrayList<>();
        double to = SHORTEST;
        for (SoakStretch stretch : stretches) {
            double shift = minutes(setting, stretch.begun());
            if (shift + stretch.minutes() > -BACK) {
                lines.addAll(lines(stretch, shift, percent, stretch == stretches.get(stretches.size() - 1)));
                to = Math.max(to, ROOM * (shift + stretch.minutes()));
            }
        }
        double from = lines.stream()
                .flatMap(line -> line.readings().stream())
                .mapToDouble(Point::x)
                .filter(x -> x > -BACK)
                .min()
                .orElse(0);
        List<Mark> marks = marks(soak, timeline, setting, Math.min(0, from), to);
        double[] values = lines.stream()
                .flatMap(line -> Stream.concat(line.readings().stream(), line.fit().stream()))
                .filter(point -> point.x() >= from)
                .mapToDouble(Point::y)
                .sorted()
                .toArray();
        if (values.length == 0) {
            return new SoakChart(lines, marks, Math.min(0, from), to, 0, 1);
        }
        double low = values[0];
        double high = values[values.length - 1];
        double least = percent ? 100 * NARROWEST : NARROWEST * Math.abs(high);
        double range = Math.max(high - low, least);
        double near = DoubleStream.concat(
                        DoubleStream.of(high),
                        lines.stream()
                                .map(Line::limit)
                                .filter(OptionalDouble::isPresent)
                                .mapToDouble(OptionalDouble::getAsDouble)
                                .filter(limit -> limit < high + LIMIT_NEAR * range))
                .max()
                .orElse(high);
        double middle = (low + high) / 2;
        double bottom = Math.min(low, middle - range / 2) - PAD * range;
        double top = Math.max(near, middle + range / 2) + PAD * range;
        return new SoakChart(lines, marks, Math.min(0, from), to, percent ? bottom : Math.max(0, bottom), top);
    }

    private static List<Line> lines(SoakStretch stretch, double shift, boolean percent, boolean present) {
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < stretch.points().size(); i++) {
            Series series = stretch.points().get(i);
            if (series.samples().isEmpty()) {
                continue;
            }
            PointDrift drift = stretch.found().points().get(i);
            List<Trace.Place> places = drift.trace().places();
            double began = places.isEmpty()
                    ? series.samples().get(0).value()
                    : places.get(0).value();
            DoubleUnaryOperator shown = percent ? value -> 100 * (value / began - 1) : value -> value;
            lines.add(new Line(
                    i,
                    series.label(),
                    drawn(series.samples()).stream()
                            .map(sample -> new Point(shift + sample.minutes(), shown.applyAsDouble(sample.value())))
                            .toList(),
                    places.stream()
                            .map(place -> new Point(shift + place.minutes(), shown.applyAsDouble(place.value())))
                            .toList(),
                    places.stream()
                            .map(place -> new Point(
                                    shift + place.minutes(), shown.applyAsDouble(place.value() - place.plusMinus())))
                            .toList(),
                    places.stream()
                            .map(place -> new Point(
                                    shift + place.minutes(), shown.applyAsDouble(place.value() + place.plusMinus())))
                            .toList(),
                    present && series.limit().isPresent()
                            ? OptionalDouble.of(
                                    shown.applyAsDouble(series.limit().getAsDouble()))
                            : OptionalDouble.empty(),
                    present));
        }
        return lines;
    }

    private static List<Sample> drawn(List<Sample> samples) {
        int every = Math.max(1, samples.size() / MOST_DRAWN);
        List<Sample> drawn = new ArrayList<>();
        for (int i = samples.size() - 1; i >= 0; i -= every) {
            drawn.add(0, samples.get(i));
        }
        return drawn;
    }

    private static List<Mark> marks(Soak soak, Timeline timeline, Instant setting, double from, double to) {
        List<Mark> marks = new ArrayList<>();
        for (State state : timeline.states()) {
            state.begunBy().filter(change -> change.what() != Change.What.MAINS).ifPresent(change -> {
                double at = minutes(setting, change.at());
                if (at >= from && at <= to) {
                    marks.add(new Mark(at, told(change)));
                }
            });
        }
        marks.addAll(mains(soak, setting, from, to));
        marks.sort(Comparator.comparingDouble(Mark::minutes));
        return marks;
    }

    /** It wanders all the time: told is what it did by more than that. */
    private static List<Mark> mains(Soak soak, Instant setting, double from, double to) {
        List<Mark> marks = new ArrayList<>();
        double told = Double.NaN;
        for (SoakStretch stretch : soak.stretches()) {
            double shift = minutes(setting, stretch.begun());
            for (Sample sample : stretch.mains()) {
                double at = shift + sample.minutes();
                if (Double.isNaN(told) || Math.abs(sample.value() / told - 1) > MAINS_TOLD) {
                    if (!Double.isNaN(told) && at >= from && at <= to) {
                        marks.add(new Mark(at, new SoakFinding.MarkMains(sample.value())));
                    }
                    told = sample.value();
                }
            }
        }
        return marks;
    }

    private static SoakFinding told(Change change) {
        return switch (change.what()) {
            case TURN -> new SoakFinding.MarkTurn(change.place());
            case TUBE -> new SoakFinding.MarkTube(change.place());
            case SHEET -> new SoakFinding.MarkSheet();
            case POWER_ON -> new SoakFinding.MarkOn();
            case POWER_OFF -> new SoakFinding.MarkOff();
            case MAINS -> throw new IllegalArgumentException("a change of the mains is told by its volts");
            case UNSAID -> new SoakFinding.MarkUnsaid(change.place());
        };
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60_000.0;
    }
}
