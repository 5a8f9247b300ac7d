package yellowrail.core.tone;

/** How much each frequency counts. */
public enum Weighting {
    FLAT,

    /** As ears hear faint sounds: the A curve of IEC 61672-1, 0 dB at 1 kHz. */
    A;

    private static final double LOWEST = 20.598997;
    private static final double LOW = 107.65265;
    private static final double HIGH = 737.86223;
    private static final double HIGHEST = 12194.217;

    /** Of a line's power. */
    double power(double hertz) {
        double amplitude = this == FLAT ? 1 : shape(hertz) / shape(1000);
        return amplitude * amplitude;
    }

    private static double shape(double hertz) {
        double f = hertz * hertz;
        return HIGHEST
                * HIGHEST
                * f
                * f
                / ((f + LOWEST * LOWEST) * Math.sqrt((f + LOW * LOW) * (f + HIGH * HIGH)) * (f + HIGHEST * HIGHEST));
    }
}
