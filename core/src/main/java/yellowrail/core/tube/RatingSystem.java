package yellowrail.core.tube;

import java.util.Arrays;
import java.util.Optional;
import yellowrail.core.finding.Code;

/**
 * What a published limit promises. The same tube carries different figures in different systems, so a figure without
 * its system says little.
 */
public enum RatingSystem {

    /** Limits for average conditions; the maker left room for normal spread of mains and parts. */
    DESIGN_CENTRE,
    /** Limits for a nominal tube under the worst conditions of the equipment. */
    DESIGN_MAXIMUM,
    /** Limits never to be passed by any tube under any condition. */
    ABSOLUTE,
    /** The figure of the builder's own tube maker, entered by the builder. */
    OWN;

    public static Optional<RatingSystem> of(String words) {
        return Arrays.stream(values())
                .filter(system -> Code.of(system).equalsIgnoreCase(words))
                .findFirst();
    }
}
