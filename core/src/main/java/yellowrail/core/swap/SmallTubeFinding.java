package yellowrail.core.swap;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of another driver or splitter tube. */
public sealed interface SmallTubeFinding extends Finding {

    record VoltsFit(String wants) implements SmallTubeFinding {}

    record VoltsApart(
            String wants,
            @In(value = Unit.VOLT, given = true) double volts,
            String in,
            @In(value = Unit.VOLT, given = true) double inVolts)
            implements SmallTubeFinding {}

    record TakesNoMore(String wants, String in) implements SmallTubeFinding {}

    record PutWindingDown(String in) implements SmallTubeFinding {}

    record WindingUnrated(
            String winding,
            @In(value = Unit.AMP, decimals = 2) double before,
            @In(value = Unit.AMP, decimals = 2) double after)
            implements SmallTubeFinding {}

    /** Base, pins, amplification. */
    record CircuitNotChecked(String in) implements SmallTubeFinding {}
}
