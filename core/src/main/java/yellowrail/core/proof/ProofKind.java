package yellowrail.core.proof;

/** What a figure of the output is of. */
public enum ProofKind {
    /** At the onset of clipping, W. */
    FULL_POWER,
    /** At a mark of distortion, W. */
    POWER_AT,
    /** Of the fundamental, 1 is all of it. */
    DISTORTION,
    DISTORTION_AND_NOISE,
    INTERMODULATION,
    /** At the onset of clipping, of the fundamental. */
    SECOND,
    THIRD,
    /** All that a meter reads with nothing played, V RMS, called hum by who typed it. */
    METER_HUM,
    /** At the mains' frequency, V RMS. */
    HUM,
    /** At twice the mains' frequency, V RMS. */
    RIPPLE,
    /** V RMS. */
    NOISE,
    /** All that a meter reads, in whatever band it has, V RMS. */
    METER_NOISE,
    /** Load by output resistance. */
    DAMPING,
    /** Where the band ends, Hz. */
    LOW_EDGE,
    HIGH_EDGE,
    /** Volts out for a volt in. */
    GAIN,
    /** What goes in at the onset of clipping, V RMS. */
    SENSITIVITY;

    /** Whether it is there with nothing played, V RMS. */
    public boolean isDisturbance() {
        return this == METER_HUM || this == HUM || this == RIPPLE || this == NOISE || this == METER_NOISE;
    }

    /** Whether it changes with what an analyser lets through. */
    boolean dependsOnBand() {
        return this == DISTORTION_AND_NOISE || this == NOISE;
    }
}
