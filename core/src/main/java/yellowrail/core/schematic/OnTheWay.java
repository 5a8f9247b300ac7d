package yellowrail.core.schematic;

/** The parts that the tubes’ direct current runs through, from the winding to ground. */
public enum OnTheWay {
    WINDING,
    RECTIFIER,
    CHOKE,
    OUTPUT,
    TUBE,
    RESISTOR
}
