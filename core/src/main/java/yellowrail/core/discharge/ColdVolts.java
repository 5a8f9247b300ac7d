package yellowrail.core.discharge;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.powerup.ColdStart;

/**
 * What a node stands at before anything draws: every one behind a choke or a resistor at the peak of the winding, for
 * where no current flows nothing drops. With a tube rectifier that comes up with its load it is what the node runs at.
 */
public final class ColdVolts {

    private ColdVolts() {}

    /** V; empty where neither the winding nor the node's own volts are known. */
    public static OptionalDouble at(ChartNode node, AmpSheet sheet) {
        OptionalDouble running = Charge.running(node);
        if (running.isPresent() && running.getAsDouble() < 0) {
            return running;
        }
        Optional<ColdStart> peak =
                ColdStart.of(sheet, 1).filter(cold -> sheet.supply().rectifier() != Rectifier.TUBE);
        return peak.isPresent() ? OptionalDouble.of(Math.max(peak.get().volts(), running.orElse(0))) : running;
    }
}
