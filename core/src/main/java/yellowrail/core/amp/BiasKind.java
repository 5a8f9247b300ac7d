package yellowrail.core.amp;

/** How the grids are held negative of the cathodes. */
public enum BiasKind {
    FIXED_ADJUSTABLE,
    FIXED,
    CATHODE_SHARED,
    CATHODE_EACH;

    public boolean isCathode() {
        return this == CATHODE_SHARED || this == CATHODE_EACH;
    }
}
