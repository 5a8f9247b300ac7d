package yellowrail.core.bias.circuit;

/**
 * A silicon rectifier diode, {@code i = Is (exp(v / nVt) - 1)}: 0.55 V at 1 mA, 0.66 V at 10 mA, at 27 degrees C. What
 * leaks backwards is left out.
 */
final class Diode {

    /** Is, A. */
    static final double SATURATION = 7e-9;
    /** n. */
    static final double EMISSION = 1.8;

    private static final double THERMAL = 0.025852;
    private static final double NVT = EMISSION * THERMAL;
    private static final int MOST_ROUNDS = 60;
    private static final double SMALL = 1e-10;

    private Diode() {}

    /** @return V at so many A */
    static double drop(double amps) {
        return NVT * Math.log1p(amps / SATURATION);
    }

    /**
     * The current through a resistance and so many diodes in series: {@code R i + n drop(i) = U}. The left side is
     * concave, so Newton's steps from below stay below.
     *
     * @param ohms &gt; 0
     * @return A; 0 where nothing drives it
     */
    static double through(double ohms, int diodes, double volts) {
        if (!(volts > 0)) {
            return 0;
        }
        double most = volts / ohms;
        double amps = Math.max(0, (volts - diodes * drop(most)) / ohms);
        for (int i = 0; i < MOST_ROUNDS; i++) {
            double left = volts - ohms * amps - diodes * drop(amps);
            double step = left / (ohms + diodes * NVT / (SATURATION + amps));
            amps += step;
            if (step <= SMALL * (amps + SATURATION)) {
                break;
            }
        }
        return amps;
    }
}
