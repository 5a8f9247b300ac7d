package yellowrail.core.drawer;

/** What a light tap gives; a tube that rings by itself is waste, a faint ring under the tap is normal. */
public enum Tap {
    UNKNOWN("not tapped"), NONE("none"), FAINT("faint"), RINGS("rings"), RINGS_ALONE("rings alone");

    private final String inWords;

    Tap(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }
}
