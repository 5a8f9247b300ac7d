package yellowrail.core.tone;

/**
 * A sine in a recording, {@code cos cos(2 pi f t) + sin sin(2 pi f t)}, t from the middle of the recording.
 *
 * @param hertz f
 */
public record Line(double hertz, double cos, double sin) {

    public double peak() {
        return Math.hypot(cos, sin);
    }

    public double rms() {
        return peak() / Math.sqrt(2);
    }

    /** Mean of its square. */
    public double power() {
        return (cos * cos + sin * sin) / 2;
    }

    /** Of its crest before the middle of the recording, radians: {@code peak cos(2 pi f t - phase)}. */
    public double phase() {
        return Math.atan2(sin, cos);
    }
}
