package yellowrail.core.iron.lead;

/** What was typed of a lead cannot be read. */
public final class BadLeadException extends RuntimeException {

    private final transient LeadFinding finding;

    public BadLeadException(LeadFinding finding) {
        super(finding.code());
        this.finding = finding;
    }

    public LeadFinding finding() {
        return finding;
    }
}
