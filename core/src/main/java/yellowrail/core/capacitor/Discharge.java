package yellowrail.core.capacitor;

/** A capacitor that empties through a resistor: {@code V = V0 exp(-t / RC)}. */
public final class Discharge {

    private Discharge() {}

    /**
     * @param farads F, &gt; 0
     * @param ohms &gt; 0, infinite for none
     * @param from V
     * @param to V, &gt; 0
     * @return s until it stands at {@code to}; 0 where it stands below already
     */
    public static double seconds(double farads, double ohms, double from, double to) {
        if (!(farads > 0) || !(ohms > 0) || !(to > 0)) {
            throw new IllegalArgumentException(
                    "farads, ohms and the last volts are above 0, were %s, %s, %s".formatted(farads, ohms, to));
        }
        return from <= to ? 0 : farads * ohms * Math.log(from / to);
    }
}
