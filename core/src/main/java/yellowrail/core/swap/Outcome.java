package yellowrail.core.swap;

/** The answer to one question of the swap check. */
public enum Outcome {
    HOLDS,
    CHANGE,
    STOP,
    UNKNOWN
}
