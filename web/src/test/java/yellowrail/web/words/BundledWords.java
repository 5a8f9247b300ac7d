package yellowrail.web.words;

/** The words that ship, without the application. */
public final class BundledWords {

    private BundledWords() {}

    public static Words read() {
        return new Words(new CountingMessages());
    }

    public static Vocabularies vocabularies() {
        return new Vocabularies(new CountingMessages());
    }
}
