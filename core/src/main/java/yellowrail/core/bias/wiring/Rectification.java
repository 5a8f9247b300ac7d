package yellowrail.core.bias.wiring;

/** How the bias is rectified. */
public enum Rectification {
    HALF_WAVE,
    BRIDGE,
    /** Both halves of a winding with a centre tap; its volts are those of a half. */
    FULL_WAVE
}
