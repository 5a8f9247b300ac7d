package yellowrail.core.closing;

import java.util.Arrays;
import java.util.Optional;
import yellowrail.core.finding.Code;

/** How urgent a finding is for the amp's owner. */
public enum Tier {
    MUST,
    SHOULD,
    COULD;

    /** As it is typed. */
    public String word() {
        return Code.of(this);
    }

    public static Optional<Tier> of(String word) {
        return Arrays.stream(values())
                .filter(tier -> tier.word().equalsIgnoreCase(word))
                .findFirst();
    }
}
