package yellowrail.core.tone;

/** Two tones that are played at once, to hear what they do to each other. */
public enum TonePair {
    /** What bass does to treble. */
    BASS_AND_TREBLE(60, 7_000),
    /** What treble does to itself. */
    TWIN_TREBLE(19_000, 20_000);

    private final double low;
    private final double high;

    TonePair(double low, double high) {
        this.low = low;
        this.high = high;
    }

    /** About where the lower one is, Hz. */
    public double low() {
        return low;
    }

    /** About where the higher one is, Hz. */
    public double high() {
        return high;
    }
}
