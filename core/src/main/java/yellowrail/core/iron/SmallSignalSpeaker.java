package yellowrail.core.iron;

/**
 * A speaker by its small-signal parameters:
 *
 * <pre>
 * Z = Re + Zl + Re (Qms/Qes) / (1 + j Qms (f/fs - fs/f)),   |Zl| = 2 pi 1000 Le (f/1000)^n at an angle of n 90 degrees
 * </pre>
 *
 * The first two are the voice coil: with {@code n} = 1 a plain inductance, smaller where the pole piece\u2019s eddy
 * currents make it a semi-inductance, {@code Le} then being that at 1 kHz. The last is the moving system in free air.
 *
 * @param re resistance of the voice coil, ohm
 * @param fs resonance, Hz
 * @param qms mechanical Q
 * @param qes electrical Q
 * @param le inductance at 1 kHz, H
 * @param exponent of the semi-inductance, 0.3 to 1
 */
public record SmallSignalSpeaker(double re, double fs, double qms, double qes, double le, double exponent)
        implements Speaker {

    public SmallSignalSpeaker {
        for (double value : new double[] {re, fs, qms, qes}) {
            if (!(value > 0 && Double.isFinite(value))) {
                throw new IllegalArgumentException("Re, fs, Qms and Qes are more than 0, was " + value);
            }
        }
        if (!(le >= 0 && Double.isFinite(le)) || !(exponent >= 0.3 && exponent <= 1)) {
            throw new IllegalArgumentException(
                    "Le is 0 H or more and its exponent 0.3 to 1, was %s and %s".formatted(le, exponent));
        }
    }

    @Override
    public Impedance at(double hertz) {
        double detuned = qms * (hertz / fs - fs / hertz);
        double moving = re * qms / qes / (1 + detuned * detuned);
        double coil = 2 * Math.PI * 1000 * le * Math.pow(hertz / 1000, exponent);
        double angle = exponent * Math.PI / 2;
        double real = re + moving + coil * Math.cos(angle);
        double imaginary = -moving * detuned + coil * Math.sin(angle);
        return new Impedance(hertz, Math.hypot(real, imaginary), Math.toDegrees(Math.atan2(imaginary, real)));
    }
}
