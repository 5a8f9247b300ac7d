package yellowrail.core.root;

/** A failed computation: what was looked for did not settle in so many rounds. */
public final class UnsettledException extends RuntimeException {

    private final int rounds;

    public UnsettledException(int rounds) {
        super("not settled in %d rounds".formatted(rounds));
        this.rounds = rounds;
    }

    public int rounds() {
        return rounds;
    }
}
