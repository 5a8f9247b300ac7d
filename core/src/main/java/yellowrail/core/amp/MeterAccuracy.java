package yellowrail.core.amp;

/**
 * What the meter's own sheet promises: so much of the reading plus so many counts of the last digit, taken as the half
 * width of a 95 % interval.
 *
 * @param ofReading as a ratio, &gt;= 0
 * @param digits counts of the last digit, &gt;= 0
 * @param lastOfVolts the last digit when reading plate volts, V
 * @param lastOfSense the last digit when reading current at the test point, SI of what is shown there (V or A)
 */
public record MeterAccuracy(double ofReading, double digits, double lastOfVolts, double lastOfSense) {

    /**
     * A hand-held meter of the ordinary kind: 0.5 % and 2 digits, 0.1 V on plates, 0.1 mV (or mA) at the test point.
     */
    public static final MeterAccuracy ORDINARY = new MeterAccuracy(0.005, 2, 0.1, 1e-4);

    /** @param lastDigit of the reading as typed, V; the meter's own where that is finer, or where it is 0 */
    public double ofVolts(double volts, double lastDigit) {
        return ofReading * Math.abs(volts) + countsOfVolts(lastDigit);
    }

    /** The counts alone, V: what is left of it between two readings of one meter, whose gain is the same. */
    public double countsOfVolts(double lastDigit) {
        return counts(lastDigit, lastOfVolts);
    }

    public double ofVolts(double volts) {
        return ofVolts(volts, 0);
    }

    /** The same at the test point. */
    public double ofSense(double reading, double lastDigit) {
        return ofReading * Math.abs(reading) + counts(lastDigit, lastOfSense);
    }

    private double counts(double typed, double own) {
        return digits * (typed > 0 ? Math.min(typed, own) : own);
    }
}
