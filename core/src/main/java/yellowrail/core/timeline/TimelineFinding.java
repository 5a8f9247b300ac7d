package yellowrail.core.timeline;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;

/** Why a reading no longer speaks of what is on the bench. */
public sealed interface TimelineFinding extends Finding {

    /** A pot that reaches it was turned since. */
    record PotTurnedSince(String pot) implements TimelineFinding {}

    /** A neighbour's pot was turned since and moved the supply, or may have. */
    record NeighboursPotTurnedSince(String pot) implements TimelineFinding {}

    record TubeExchangedSince(String socket) implements TimelineFinding {}

    record NeighboursTubeExchangedSince(String socket) implements TimelineFinding {}

    record HardwareChangedSince() implements TimelineFinding {}

    /** Another test point has moved and nobody said why. */
    record MovedSince(String place, Shown from, Shown to) implements TimelineFinding {}
}
