package yellowrail.core.amp;

/**
 * How tube current is read at the bench, and what each way hides. What a method yields is per test point; the sockets
 * that share a test point share its current equally, for all that the reading can tell.
 */
public enum CurrentMethod {

    SENSE_EACH("sense resistor per tube", Yields.CATHODE, true, ""),
    SENSE_SHARED("sense resistor shared by several tubes", Yields.CATHODE, true, "the mismatch between the tubes that share it"),
    STAGE_TEST_POINT("test point for the whole stage", Yields.CATHODE, true, "mismatch and push-pull balance"),
    SOCKET_ADAPTER("socket adapter in the cathode", Yields.CATHODE, false, ""),
    PLATE_ADAPTER("plate-side adapter or meter", Yields.PLATE, false, "the screen current"),
    CATHODE_RESISTOR("cathode-bias resistor", Yields.CATHODE, true, "the mismatch between the tubes that share it"),
    HALF_PRIMARY("drop across half the output-transformer primary", Yields.PLATE, true, "the mismatch inside the side, and the screen current"),
    SUPPLY_DROP("drop across a choke or supply resistor", Yields.SUPPLY, true, "everything else it feeds, and all mismatch"),
    PANEL_METER("panel meter", Yields.CATHODE, false, "its own error");

    /** Which current flows through the thing that is read. */
    public enum Yields {
        CATHODE, PLATE, SUPPLY
    }

    private final String inWords;
    private final Yields yields;
    private final boolean acrossResistance;
    private final String hides;

    CurrentMethod(String inWords, Yields yields, boolean acrossResistance, String hides) {
        this.inWords = inWords;
        this.yields = yields;
        this.acrossResistance = acrossResistance;
        this.hides = hides;
    }

    public String inWords() {
        return inWords;
    }

    public Yields yields() {
        return yields;
    }

    /** Whether a resistance must be known to turn the reading into a current. */
    public boolean acrossResistance() {
        return acrossResistance;
    }

    /** What the reading cannot show, in words; blank when nothing. */
    public String hides() {
        return hides;
    }

    /** Whether the current's resistor lifts the cathode from ground, so that the reading is the cathode voltage too. */
    public boolean liftsCathode() {
        return acrossResistance && yields == Yields.CATHODE;
    }
}
