package yellowrail.core.stage;

/** A failed computation: the stage is so far from any that works that its cycle and its means do not come to agree. */
public final class UnsettledException extends RuntimeException {

    UnsettledException(int rounds) {
        super("No operating point was found in %d rounds: this stage is too far from any that works. Bring load, screens or supply resistance nearer to usual.".formatted(rounds));
    }
}
