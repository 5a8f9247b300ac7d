package yellowrail.core.stage;

/** A failed computation: the stage is so far from any that works that its cycle and its means do not come to agree. */
public final class UnsettledException extends RuntimeException {

    private final int rounds;

    UnsettledException(int rounds) {
        super("no operating point in %d rounds".formatted(rounds));
        this.rounds = rounds;
    }

    public StageFinding finding() {
        return new StageFinding.Unsettled(rounds);
    }
}
