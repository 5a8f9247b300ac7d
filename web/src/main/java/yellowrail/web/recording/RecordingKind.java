package yellowrail.web.recording;

/** What was heard; the names are stored. */
public enum RecordingKind {
    /** A tone that was played. */
    TONE,
    /** A tube that was tapped. */
    TAPS
}
