package yellowrail.core.map;

/**
 * A place on the map.
 *
 * @param volts plate to cathode, V
 * @param amps plate current, A
 */
public record Point(double volts, double amps) {}
