package yellowrail.core.match;

import java.util.List;

/**
 * Tubes that go together.
 *
 * @param tubes in order of current
 * @param difference what was made least: spread of current plus that of transconductance told as current, A
 */
public record Group(List<Candidate> tubes, double difference) {

    public Group {
        tubes = List.copyOf(tubes);
    }

    /** Greatest current less the least, A. */
    public double spread() {
        return tubes.get(tubes.size() - 1).amps() - tubes.get(0).amps();
    }

    public double mean() {
        return tubes.stream().mapToDouble(Candidate::amps).average().orElseThrow();
    }
}
