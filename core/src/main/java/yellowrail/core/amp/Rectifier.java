package yellowrail.core.amp;

/** What makes the plate supply's DC, which decides how high it stands before the tubes conduct and how far it sags. */
public enum Rectifier {

    UNKNOWN("not known", 500), SILICON("silicon", 400), TUBE("tube", 700);

    private final String inWords;
    private final double usualOhms;

    Rectifier(String inWords, double usualOhms) {
        this.inWords = inWords;
        this.usualOhms = usualOhms;
    }

    public String inWords() {
        return inWords;
    }

    /** A middling source resistance of such a supply with its output transformer, ohm: a guess until two readings tell it. */
    public double usualOhms() {
        return usualOhms;
    }
}
