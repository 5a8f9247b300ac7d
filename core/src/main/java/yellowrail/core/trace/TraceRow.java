package yellowrail.core.trace;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import yellowrail.core.field.FieldReader;
import yellowrail.core.finding.Finding;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TracedPoint;

/**
 * A point of a tube’s curves as a row of named columns: a form is read by the same rules as a line of a file.
 *
 * @param point the point
 * @param faults what is wrong, by column; the point counts only if there are none
 */
public record TraceRow(TracedPoint point, Map<String, Finding> faults) {

    /** In the order of a file, and of a line that has no header. */
    public static final List<String> COLUMNS =
            List.of("plate_volts", "screen_volts", "grid_volts", "plate_milliamps", "screen_milliamps");

    private static final double MOST_VOLTS = 2000;
    private static final double MOST_AMPS = 2000;
    private static final double LEAST_GRID = -500;
    /** Over the rating by more no tube is read by hand, however fast. */
    private static final double BEYOND = 2.5;

    public TraceRow {
        faults = Map.copyOf(faults);
    }

    /** @param text the text of a column, never null */
    public static TraceRow read(Function<String, String> text, TubeType type) {
        Map<String, Finding> faults = new LinkedHashMap<>();
        FieldReader read = new FieldReader(faults::putIfAbsent);
        TracedPoint point = new TracedPoint(
                read.required("plate_volts", text.apply("plate_volts"), Unit.VOLT, 0, MOST_VOLTS),
                read.number("screen_volts", text.apply("screen_volts"), Unit.VOLT, 1, MOST_VOLTS),
                read.required("grid_volts", text.apply("grid_volts"), Unit.VOLT, LEAST_GRID, 0),
                read.required("plate_milliamps", text.apply("plate_milliamps"), Unit.MILLIAMP, 0, MOST_AMPS),
                read.number("screen_milliamps", text.apply("screen_milliamps"), Unit.MILLIAMP, 0, MOST_AMPS));
        if (faults.isEmpty()) {
            check(point, type, faults);
        }
        return new TraceRow(point, faults);
    }

    private static void check(TracedPoint point, TubeType type, Map<String, Finding> faults) {
        double rated = type.customaryRating().plateWatts();
        if (type.isTriode() && point.screen().isPresent()) {
            faults.put("screen_volts", new TraceFinding.NoScreen());
        }
        if (point.screenAmps().isPresent() && point.screen().isEmpty()) {
            faults.put("screen_milliamps", new TraceFinding.ScreenVoltsNeeded());
        }
        if (point.watts() > BEYOND * rated) {
            faults.put("plate_milliamps", new TraceFinding.BeyondAnyReading(point.watts(), rated));
        }
        OptionalDouble screenRated = type.customaryRating().screenWatts();
        double screen = point.pull() * point.screenAmps().orElse(0);
        if (screenRated.isPresent() && screen > BEYOND * screenRated.getAsDouble()) {
            faults.put("screen_milliamps", new TraceFinding.ScreenBeyondAnyReading(screen, screenRated.getAsDouble()));
        }
    }

    /** A point as text, column by column. */
    static List<String> written(TracedPoint point) {
        return List.of(
                Figures.typed(OptionalDouble.of(point.plate()), 1),
                Figures.typed(point.screen(), 1),
                Figures.typed(OptionalDouble.of(point.grid()), 1),
                Figures.typed(OptionalDouble.of(point.amps()), 1e3),
                Figures.typed(point.screenAmps(), 1e3));
    }
}
