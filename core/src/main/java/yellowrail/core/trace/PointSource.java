package yellowrail.core.trace;

/** Who read a point. */
public enum PointSource {
    TYPED,
    FILE,
    METER,
    PRACTICE
}
