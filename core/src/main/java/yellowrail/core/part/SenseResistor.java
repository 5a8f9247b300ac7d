package yellowrail.core.part;

import yellowrail.core.amp.MeterAccuracy;

/**
 * A resistor between a cathode and ground that the current is read across.
 *
 * @param ohms its value, ohm, &gt; 0
 * @param tolerance of that, as a ratio
 * @param ratedWatts what it is rated for, W, &gt; 0
 * @param kind how it is made
 */
public record SenseResistor(double ohms, double tolerance, double ratedWatts, Kind kind) {

    /**
     * How it is made, and the overload at which one of its kind opens, over its rated watts: a rough range, wider than
     * any sheet of a fusible type. Source: usual overload figures of each kind; only fusible types are made to open.
     */
    public enum Kind {
        METAL_FILM(12, 50),
        FUSIBLE(10, 25),
        WIRE_WOUND(25, 200);

        private final double least;
        private final double most;

        Kind(double least, double most) {
            this.least = least;
            this.most = most;
        }
    }

    public SenseResistor {
        if (!(ohms > 0 && tolerance >= 0 && ratedWatts > 0)) {
            throw new IllegalArgumentException("a sense resistor has ohms, a tolerance and watts, was %s ohm, %s, %s W"
                    .formatted(ohms, tolerance, ratedWatts));
        }
    }

    /** What the meter shows of a current, V. */
    public double volts(double amps) {
        return amps * ohms;
    }

    public double watts(double amps) {
        return amps * amps * ohms;
    }

    /** The current at which it reaches its rating, {@code sqrt(P/R)}, A. */
    public double ratedAmps() {
        return Math.sqrt(ratedWatts / ohms);
    }

    /** The least current at which one of its kind may open within a minute, A. */
    public double opensFrom() {
        return Math.sqrt(kind.least) * ratedAmps();
    }

    /** The current at which one of its kind has opened, A. */
    public double opensBy() {
        return Math.sqrt(kind.most) * ratedAmps();
    }

    /** What one count of the meter's last digit is worth, A. */
    public double count(MeterAccuracy meter) {
        return meter.lastOfSense() / ohms;
    }

    /**
     * How far a current read across it may lie off, as a ratio at 95 %: its tolerance, and of the meter the percentage
     * and the digits, as the root of their squares.
     */
    public double plusMinus(double amps, MeterAccuracy meter) {
        double digits = meter.digits() * count(meter) / amps;
        return Math.sqrt(tolerance * tolerance + meter.ofReading() * meter.ofReading() + digits * digits);
    }
}
