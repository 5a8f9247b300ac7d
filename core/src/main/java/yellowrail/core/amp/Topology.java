package yellowrail.core.amp;

/** How the tubes share the output transformer. */
public enum Topology {

    PUSH_PULL("push-pull"),
    SINGLE_ENDED("single-ended");

    private final String inWords;

    Topology(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }
}
