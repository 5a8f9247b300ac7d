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
    /** At the mains' frequency, or all that a meter reads with nothing played, V RMS. */
    HUM,
    /** At twice the mains' frequency, V RMS. */
    RIPPLE,
    /** V RMS. */
    NOISE,
    /** Load by output resistance. */
    DAMPING,
    /** Where the band ends, Hz. */
    LOW_EDGE,
    HIGH_EDGE,
    /** Volts out for a volt in. */
    GAIN,
    /** What goes in at the onset of clipping, V RMS. */
    SENSITIVITY;

    /** Whether it changes with what an analyser lets through. */
    boolean dependsOnBand() {
        return this == DISTORTION_AND_NOISE || this == NOISE;
    }
}
