package yellowrail.core.bias.circuit;

/** What a part of a bias supply is there for. */
public enum PartKind {
    WINDING,
    DIODE,
    CLAMP,
    COUPLING,
    SERIES,
    RESERVOIR,
    FEED,
    SECOND,
    UPPER,
    /** The end of the track where the grids are coldest. */
    POT_COLD_END,
    POT_HOT_END,
    /** Its whole track. */
    POT,
    WIPER,
    LOWER,
    WIPER_TO_COLD,
    BALANCE_FIRST_END,
    BALANCE_SECOND_END,
    BALANCE_WIPER,
    BALANCE,
    TREMOLO,
    LEAK,
    METER;

    /** Whether it is one of the three contacts of a potentiometer, which may open but cannot short. */
    public boolean isContact() {
        return switch (this) {
            case POT_COLD_END, POT_HOT_END, WIPER, BALANCE_FIRST_END, BALANCE_SECOND_END, BALANCE_WIPER -> true;
            default -> false;
        };
    }

    /** The pot that a contact belongs to; else itself. */
    public PartKind whole() {
        return switch (this) {
            case POT_COLD_END, POT_HOT_END, WIPER -> POT;
            case BALANCE_FIRST_END, BALANCE_SECOND_END, BALANCE_WIPER -> BALANCE;
            default -> this;
        };
    }

    public boolean isCapacitor() {
        return this == COUPLING || this == RESERVOIR || this == SECOND;
    }

    public boolean isDiode() {
        return this == DIODE || this == CLAMP;
    }
}
