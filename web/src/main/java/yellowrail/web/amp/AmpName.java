package yellowrail.web.amp;

/** An amp to choose from a list. */
public record AmpName(long id, String name) {

    /** So many characters may it have. */
    public static final int LONGEST = 80;
}
