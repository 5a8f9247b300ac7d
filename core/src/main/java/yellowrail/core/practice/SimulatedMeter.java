package yellowrail.core.practice;

import java.util.Random;

/**
 * A meter with errors: a gain it keeps, a noise that differs from reading to reading, and a last digit.
 *
 * @param voltsGain 1 plus the error it has on volts
 * @param ampsGain 1 plus the error it has on the small volts or amps of a test point
 * @param noise as a part of the reading, one sigma
 * @param lastOfVolts last digit on plates, V; 0 for none
 * @param lastOfSense last digit at a test point, SI; 0 for none
 */
public record SimulatedMeter(double voltsGain, double ampsGain, double noise, double lastOfVolts, double lastOfSense) {

    public static final SimulatedMeter PERFECT = new SimulatedMeter(1, 1, 0, 0, 0);

    public double volts(double volts, Random chance) {
        return shown(volts * voltsGain, lastOfVolts, chance);
    }

    public double sense(double value, Random chance) {
        return shown(value * ampsGain, lastOfSense, chance);
    }

    private double shown(double value, double last, Random chance) {
        double noisy = value * (1 + noise * chance.nextGaussian());
        return last > 0 ? Math.rint(noisy / last) * last : noisy;
    }
}
