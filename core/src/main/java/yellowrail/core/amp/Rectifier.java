package yellowrail.core.amp;

/** What makes the plate supply's DC, which decides how high it stands before the tubes conduct and how far it sags. */
public enum Rectifier {
    UNKNOWN(500),
    SILICON(400),
    TUBE(700);

    private final double usualOhms;

    Rectifier(double usualOhms) {
        this.usualOhms = usualOhms;
    }

    /**
     * A middling source resistance of such a supply with its output transformer, ohm: a guess until two readings tell
     * it.
     */
    public double usualOhms() {
        return usualOhms;
    }
}
