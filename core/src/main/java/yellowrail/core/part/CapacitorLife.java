package yellowrail.core.part;

/**
 * How long an electrolytic lasts, by the rule that each 10 K below its rated temperature double its hours: {@code L =
 * L0 2^((T0 - T)/10)}. What ripple current warms it, and the volts it is spared, are not in it; beyond
 * {@value #SEAL_YEARS} years the seal gives way whatever it did.
 *
 * @param hours it is rated for at that temperature, h, &gt; 0
 * @param ratedCelsius the temperature, &deg;C
 */
public record CapacitorLife(double hours, double ratedCelsius) {

    /** What nobody wrote on it. */
    public static final CapacitorLife ORDINARY = new CapacitorLife(2000, 85);

    public static final double SEAL_YEARS = 15;

    private static final double WEEKS = 52.18;

    public CapacitorLife {
        if (!(hours > 0)) {
            throw new IllegalArgumentException("a capacitor is rated for more than 0 h, was " + hours);
        }
    }

    public double hoursAt(double celsius) {
        return hours * Math.pow(2, (ratedCelsius - celsius) / 10);
    }

    /** @param weekly hours it works in a week, &gt; 0 */
    public double yearsAt(double celsius, double weekly) {
        return Math.min(SEAL_YEARS, hoursAt(celsius) / (weekly * WEEKS));
    }
}
