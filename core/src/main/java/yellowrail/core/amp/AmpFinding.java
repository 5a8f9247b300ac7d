package yellowrail.core.amp;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;

/** An amp, and what it is set by, in a line. */
public sealed interface AmpFinding extends Finding {

    record Stage(int tubes, String type, Topology topology, BiasKind bias) implements AmpFinding {}

    record Window(School school, Shown low, Shown high, Shown aim) implements AmpFinding {}
}
