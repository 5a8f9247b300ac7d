package yellowrail.core.move;

/** The supply cannot bring the tubes to the target; the finding says how far it goes. */
public final class NoLandingException extends RuntimeException {

    private final transient MoveFinding finding;

    NoLandingException(MoveFinding finding) {
        super(finding.code());
        this.finding = finding;
    }

    public MoveFinding finding() {
        return finding;
    }
}
