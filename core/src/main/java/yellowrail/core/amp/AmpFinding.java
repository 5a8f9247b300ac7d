package yellowrail.core.amp;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;

/** An amp, and what it is set by, in a line. */
public sealed interface AmpFinding extends Finding {

    record Stage(int tubes, String type, Topology topology, BiasKind bias) implements AmpFinding {}

    /** Of the bias pot's stops: what is on the sheet, and what the supply on the bias bench gives. */
    record StopsDisagree(
            @In(Unit.VOLT) double readColdest,
            @In(Unit.VOLT) double readHottest,
            @In(Unit.VOLT) double coldest,
            @In(Unit.VOLT) double hottest)
            implements AmpFinding {}

    record Window(School school, Shown low, Shown high, Shown aim) implements AmpFinding {}
}
