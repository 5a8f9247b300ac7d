package yellowrail.core.standard;

import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * The preferred values that resistors are sold in. Source: IEC 60063, whose older series do not follow the power law to
 * the last digit and are therefore listed; E96 does.
 */
public enum StandardValues {
    E12(1.0, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2),
    E24(
            1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8,
            7.5, 8.2, 9.1),
    E96(IntStream.range(0, 96)
            .mapToDouble(i -> Math.rint(100 * Math.pow(10, i / 96.0)) / 100)
            .toArray());

    private static final int LOWEST_DECADE = -1;
    private static final int HIGHEST_DECADE = 6;
    /** Ratings of capacitors as they are sold, V. */
    public static final List<Double> CAPACITOR_VOLTS = List.of(
            16.0, 25.0, 35.0, 50.0, 63.0, 80.0, 100.0, 160.0, 200.0, 250.0, 350.0, 400.0, 450.0, 500.0, 550.0, 600.0,
            800.0);

    /** Ratings of resistors as they are sold, W. */
    public static final List<Double> WATTS =
            List.of(0.25, 0.5, 1.0, 2.0, 3.0, 5.0, 7.0, 10.0, 15.0, 20.0, 25.0, 50.0, 100.0);

    private final double[] mantissas;

    StandardValues(double... mantissas) {
        this.mantissas = mantissas;
    }

    private DoubleStream ohms() {
        return IntStream.rangeClosed(LOWEST_DECADE, HIGHEST_DECADE)
                .boxed()
                .flatMapToDouble(decade -> DoubleStream.of(mantissas)
                        .map(mantissa -> Math.rint(mantissa * Math.pow(10, decade + 3)) / 1000));
    }

    /** The value nearest in ratio. */
    public double nearest(double ohms) {
        return ohms().boxed()
                .min(Comparator.comparingDouble(value -> Math.abs(Math.log(value / ohms))))
                .orElseThrow();
    }

    /** The values of that or more, ascending. */
    public DoubleStream from(double ohms) {
        return ohms().filter(value -> value >= ohms).sorted();
    }

    /** The values between two, both in. */
    public List<Double> between(double from, double to) {
        return from(from).filter(value -> value <= to).boxed().toList();
    }

    /** The value at or below, and the next above. */
    public List<Double> around(double ohms) {
        double below = ohms().filter(value -> value <= ohms).max().orElseThrow();
        double above = ohms().filter(value -> value > ohms).min().orElseThrow();
        return List.of(below, above);
    }

    /** The smallest usual rating of a capacitor of so many volts or more; those volts where none is sold, V. */
    public static double capacitorFor(double volts) {
        return CAPACITOR_VOLTS.stream()
                .filter(rating -> rating >= volts)
                .findFirst()
                .orElse(volts);
    }

    /** The smallest usual rating that is at least twice what the resistor dissipates, W. */
    public static double wattsFor(double dissipated) {
        return WATTS.stream()
                .filter(rating -> rating >= 2 * dissipated)
                .findFirst()
                .orElse(2 * dissipated);
    }
}
