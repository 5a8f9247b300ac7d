package yellowrail.web.drawer;

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
                Nullable.of(point.screen()),
                point.grid(),
                point.amps(),
                Nullable.of(point.screenAmps()),
                by.name(),
                false);
    }

    public TracedPoint point() {
        return new TracedPoint(plateVolts, Nullable.read(screenVolts), gridVolts, amps, Nullable.read(screenAmps));
    }

    public PointSource by() {
        return PointSource.valueOf(takenBy);
    }
}
