package yellowrail.core.wav;

/** Bad input: a file that cannot be read as sound. */
public final class WavException extends RuntimeException {

    private final transient WavFinding why;

    WavException(WavFinding why) {
        super(why.code());
        this.why = why;
    }

    public WavFinding why() {
        return why;
    }
}
