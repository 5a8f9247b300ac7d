package yellowrail.web.drawer;

import java.util.OptionalDouble;
import yellowrail.core.trace.PointSource;
import yellowrail.core.tube.model.TracedPoint;

/** A traced point as it is stored: a column each, null where nothing was read; V, A. */
public record PointRow(
        Long id,
        double plateVolts,
        Double screenVolts,
        double gridVolts,
        double amps,
        Double screenAmps,
        String takenBy,
        boolean leftOut) {

    static PointRow of(TracedPoint point, PointSource by) {
        return new PointRow(
                null,
                point.plate(),
                orNull(point.screen()),
                point.grid(),
                point.amps(),
                orNull(point.screenAmps()),
                by.name(),
                false);
    }

    public TracedPoint point() {
        return new TracedPoint(plateVolts, orEmpty(screenVolts), gridVolts, amps, orEmpty(screenAmps));
    }

    public PointSource by() {
        return PointSource.valueOf(takenBy);
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble orEmpty(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
