package yellowrail.web.schematic;

import yellowrail.core.schematic.Probed;

/** The shape of a node, about its middle: full when fresh, half when stale, empty when missing; ringed where wrong. */
final class ProbePath {

    private static final String DISC = "M-6 0a6 6 0 0 1 12 0a6 6 0 0 1 -12 0Z";
    private static final String HALF = "M-6 0a6 6 0 0 0 12 0ZM-6 0a6 6 0 0 1 12 0";
    private static final String RING =
            "M-11 0a11 11 0 0 1 22 0a11 11 0 0 1 -22 0M-8.5 0a8.5 8.5 0 0 0 17 0a8.5 8.5 0 0 0 -17 0";

    private ProbePath() {}

    static String of(Probed point) {
        String shape = point.state() == Probed.State.STALE ? HALF : DISC;
        return point.wrong() ? shape + RING : shape;
    }
}
