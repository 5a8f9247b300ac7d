package yellowrail.core.chart;

/** A place on a chart, in whatever its axes are told in. */
public record Point(double x, double y) {}
