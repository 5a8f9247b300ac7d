package yellowrail.core.amp;

/**
 * How tube current is read at the bench, and what each way hides. What a method yields is per test point; the sockets
 * that share a test point share its current equally, for all that the reading can tell.
 */
public enum CurrentMethod {
    SENSE_EACH(Yields.CATHODE, true, Hidden.NOTHING),
    SENSE_SHARED(Yields.CATHODE, true, Hidden.MISMATCH_OF_SHARERS),
    STAGE_TEST_POINT(Yields.CATHODE, true, Hidden.MISMATCH_AND_BALANCE),
    SOCKET_ADAPTER(Yields.CATHODE, false, Hidden.NOTHING),
    PLATE_ADAPTER(Yields.PLATE, false, Hidden.SCREEN_CURRENT),
    CATHODE_RESISTOR(Yields.CATHODE, true, Hidden.MISMATCH_OF_SHARERS),
    HALF_PRIMARY(Yields.PLATE, true, Hidden.MISMATCH_INSIDE_SIDE),
    SUPPLY_DROP(Yields.SUPPLY, true, Hidden.EVERYTHING_ELSE),
    PANEL_METER(Yields.CATHODE, false, Hidden.ITS_OWN_ERROR);

    /** What a reading cannot show. */
    public enum Hidden {
        NOTHING,
        MISMATCH_OF_SHARERS,
        MISMATCH_AND_BALANCE,
        SCREEN_CURRENT,
        MISMATCH_INSIDE_SIDE,
        EVERYTHING_ELSE,
        ITS_OWN_ERROR
    }

    /** Which current flows through the thing that is read. */
    public enum Yields {
        CATHODE,
        PLATE,
        SUPPLY
    }

    private final Yields yields;
    private final boolean acrossResistance;
    private final Hidden hides;

    CurrentMethod(Yields yields, boolean acrossResistance, Hidden hides) {
        this.yields = yields;
        this.acrossResistance = acrossResistance;
        this.hides = hides;
    }

    public Yields yields() {
        return yields;
    }

    /** Whether a resistance must be known to turn the reading into a current. */
    public boolean acrossResistance() {
        return acrossResistance;
    }

    public Hidden hides() {
        return hides;
    }

    /** Whether the current's resistor lifts the cathode from ground, so that the reading is the cathode voltage too. */
    public boolean liftsCathode() {
        return acrossResistance && yields == Yields.CATHODE;
    }
}
