package yellowrail.web.bench;

import java.util.List;

/**
 * The bench.
 *
 * @param find what was looked for; blank for nothing
 * @param amps how many there are, wherever they stand
 * @param away how many have left the bench
 * @param allAway whether those are shown
 */
record BenchView(List<BenchLine> lines, String find, int amps, int away, boolean allAway) {

    /** With more than these one looks for a name. */
    private static final int AT_A_GLANCE = 12;

    public boolean searched() {
        return !find.isBlank() || away > 0 || amps > AT_A_GLANCE;
    }

    public boolean empty() {
        return amps == 0;
    }
}
