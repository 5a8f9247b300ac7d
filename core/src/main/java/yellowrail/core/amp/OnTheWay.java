package yellowrail.core.amp;

/**
 * The parts that the tubes\u2019 direct current runs through, from the winding to ground, in the order it takes them.
 */
public enum OnTheWay {
    WINDING,
    RECTIFIER,
    CHOKE,
    OUTPUT,
    TUBE,
    RESISTOR
}
