package yellowrail.core.match;

import java.util.OptionalDouble;

/**
 * A tube to be matched or placed, by figures taken at the same test condition as the others'.
 *
 * @param label what the builder wrote on it
 * @param amps current, A, &gt; 0
 * @param transconductance A/V, where it was measured
 */
public record Candidate(String label, double amps, OptionalDouble transconductance) {

    public Candidate {
        if (!(amps > 0 && Double.isFinite(amps))) {
            throw new IllegalArgumentException(
                    "the current of %s must be more than 0 A, was %s".formatted(label, amps));
        }
    }

    /** A tube of which only the current is known. */
    public static Candidate of(String label, double amps) {
        return new Candidate(label, amps, OptionalDouble.empty());
    }
}
