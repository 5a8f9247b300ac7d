package yellowrail.core.iron;

/**
 * An impedance at one frequency.
 *
 * @param hertz Hz
 * @param ohms its size, ohm
 * @param degrees phase, positive inductive
 */
public record Impedance(double hertz, double ohms, double degrees) {}
