package yellowrail.core.idle;

/** How a tube's idle stands. */
public enum Verdict {

    COLD("cold"), IN_WINDOW("in window"), HOT("hot"), OVER_BY_CHOICE("over rating by choice"), OVER_RATING("over rating"), NOT_JUDGED("not judged");

    private final String inWords;

    Verdict(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }

    /** As in file names, style classes and JSON: {@code in-window}. */
    public String token() {
        return inWords.replace(' ', '-');
    }
}
