package yellowrail.core.drift;

/** What moves every test point alike. */
public enum Common {
    NONE,
    /** The logged mains moved by more than the readings scatter; it was taken out. */
    MAINS,
    /** They move together and the logged mains does not say why, or none was logged. */
    SUPPLY
}
