package yellowrail.core.work;

/** Parts that are no part of a bias supply. */
public enum WorkPart {
    CATHODE_RESISTOR,
    BYPASS,
    GRID_LEAK,
    SENSE_RESISTOR,
    BIAS_SUPPLY
}
