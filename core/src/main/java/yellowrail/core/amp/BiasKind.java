package yellowrail.core.amp;

/** How the grids are held negative of the cathodes. */
public enum BiasKind {

    FIXED_ADJUSTABLE("fixed, adjustable"),
    FIXED("fixed, not adjustable"),
    CATHODE_SHARED("cathode bias, shared resistor"),
    CATHODE_EACH("cathode bias, a resistor per tube");

    private final String inWords;

    BiasKind(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }

    public boolean isCathode() {
        return this == CATHODE_SHARED || this == CATHODE_EACH;
    }
}
