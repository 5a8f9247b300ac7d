package yellowrail.core.idle;

import yellowrail.core.finding.Code;

/** How a tube's idle stands. */
public enum Verdict {
    COLD,
    IN_WINDOW,
    HOT,
    OVER_RATING_BY_CHOICE,
    OVER_RATING,
    NOT_JUDGED;

    /** As in file names, style classes and JSON: {@code in-window}. */
    public String token() {
        return Code.of(this);
    }
}
