package yellowrail.core.iron;

import java.util.Optional;

/**
 * Inductance of a winding from a resistor in series with it: as a coil\u2019s volts stand across the resistor\u2019s at
 * a right angle, {@code X = R v / sqrt(V^2 - v^2)}. With the other winding open it is the primary\u2019s, with that
 * shorted the leakage. SI.
 *
 * @param henries H
 * @param plusMinus by meters of 1 %, H
 */
public record Inductance(double henries, double plusMinus) {

    private static final double METER = 0.01;

    /** Beyond these parts of the source the meters\u2019 error is all there is. */
    private static final double LEAST = 0.03;

    private static final double MOST = 0.97;

    /**
     * @param hertz of the source
     * @param source across winding and resistor together, V
     * @param across the winding alone, V
     * @param ohms of the resistor
     * @return empty where the winding takes nearly none or nearly all of the volts: another resistor is needed
     */
    public static Optional<Inductance> of(double hertz, double source, double across, double ohms) {
        double part = across / source;
        if (!(part > LEAST && part < MOST)) {
            return Optional.empty();
        }
        double reactance = ohms * part / Math.sqrt(1 - part * part);
        // d ln X / d ln part = 1 / (1 - part^2); each meter errs by itself.
        double error = METER * Math.sqrt(2) / (1 - part * part) + METER;
        double henries = reactance / (2 * Math.PI * hertz);
        return Optional.of(new Inductance(henries, error * henries));
    }

    /** Where this and a load in parallel, or in series, part with the middle by 3 dB, Hz. */
    public double corner(double ohms) {
        return ohms / (2 * Math.PI * henries);
    }
}
