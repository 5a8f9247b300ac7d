package yellowrail.core.swap;

/** The answer to one question of the swap check. */
public enum Outcome {
    HOLDS("holds"), CHANGE("change"), STOP("stop"), UNKNOWN("unknown");

    private final String inWords;

    Outcome(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }
}
