package yellowrail.core.discharge;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.powerup.ColdStart;

/**
 * What a node stands at before anything draws: every one behind a choke or a resistor at the peak of the winding, for
 * where no current flows nothing drops. With a rectifier tube that comes up with its load, on a bias supply and on a
 * cathode's resistor it is what the node runs at; so it is where nobody knows the winding, and there it may be more.
 *
 * @param volts V
 * @param isMost whether it stands no higher
 */
public record ColdVolts(double volts, boolean isMost) {

    /** A supply of less than this part of the highest is not of the same winding. */
    private static final double SAME_WINDING = 1.0 / 3;

    /** Empty where neither the winding nor the node's own volts are known. */
    public static Optional<ColdVolts> at(ChartNode node, AmpSheet sheet) {
        OptionalDouble running = Charge.running(node);
        boolean low = running.isPresent() && running.getAsDouble() < 0 || node.kind() == NodeKind.CATHODE;
        if (low) {
            return known(running, true);
        }
        boolean reached = ColdStart.isReached(sheet);
        Optional<ColdStart> peak = ColdStart.of(sheet, 1).filter(cold -> reached && isOfTheWinding(node, sheet));
        return peak.isPresent()
                ? Optional.of(new ColdVolts(Math.max(peak.get().volts(), running.orElse(0)), true))
                : known(running, !reached);
    }

    private static Optional<ColdVolts> known(OptionalDouble volts, boolean isMost) {
        return volts.isPresent() ? Optional.of(new ColdVolts(volts.getAsDouble(), isMost)) : Optional.empty();
    }

    private static boolean isOfTheWinding(ChartNode node, AmpSheet sheet) {
        double highest = sheet.chart().nodes().stream()
                .mapToDouble(each -> Charge.running(each).orElse(0))
                .max()
                .orElse(0);
        return node.feed().isPresent() || Charge.running(node).orElse(highest) >= SAME_WINDING * highest;
    }

    /** The volts that are safe to reckon with: where it may be more, at least what its capacitors are rated for. */
    double safeSide(double ratedVolts) {
        return isMost ? volts : Math.max(volts, ratedVolts);
    }
}
