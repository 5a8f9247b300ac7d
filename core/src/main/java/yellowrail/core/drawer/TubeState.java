package yellowrail.core.drawer;

/** What the builder thinks of a tube. Whether it sits in an amp is known from where it was placed. */
public enum TubeState {
    NEW("new"), USED("used"), SUSPECT("suspect"), WASTE("waste");

    private final String inWords;

    TubeState(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }
}
