package yellowrail.core.supply;

import java.util.List;
import java.util.Optional;

/**
 * What the plates see of their supply: {@code V = Voc m - Rs I}, with {@code m} the mains over its reference. The
 * source resistance is a local slope, not a part: rectifier, winding, choke and half primary together, near the present
 * current.
 *
 * @param source Voc at the reference mains, V
 * @param resistance Rs, ohm
 * @param covariance of (Voc, Rs) at one sigma
 * @param used the points it rests on
 * @param outliers points that were left out
 * @param guess what was guessed for want of a second point, and from what; empty when nothing was
 * @param refused why the readings of several settings make no line; a line that is guessed instead is not drawn
 */
public record SupplyLine(
        double source,
        double resistance,
        Covariance covariance,
        List<SupplyPoint> used,
        List<SupplyPoint> outliers,
        Optional<SupplyFinding> guess,
        Optional<SupplyFinding> refused) {

    /** Half width of a 95 % interval in sigmas. */
    private static final double WIDE = 1.96;

    /** The 2 by 2 covariance of source voltage and source resistance. */
    public record Covariance(double source, double both, double resistance) {}

    public SupplyLine {
        used = List.copyOf(used);
        outliers = List.copyOf(outliers);
    }

    public boolean isGuessed() {
        return guess.isPresent();
    }

    /** @return plate volts to ground at a total current and a mains ratio */
    public double voltsAt(double amps, double mainsRatio) {
        return source * mainsRatio - resistance * amps;
    }

    /** Half width at 95 % of {@link #voltsAt}. */
    public double plusMinusAt(double amps, double mainsRatio) {
        double variance = mainsRatio * mainsRatio * covariance.source()
                - 2 * mainsRatio * amps * covariance.both()
                + amps * amps * covariance.resistance();
        return WIDE * Math.sqrt(Math.max(0, variance));
    }

    public double sourcePlusMinus() {
        return WIDE * Math.sqrt(covariance.source());
    }

    public double resistancePlusMinus() {
        return WIDE * Math.sqrt(covariance.resistance());
    }

    /** Line, plus-minus and what it rests on. */
    public SupplyFinding finding() {
        return refused.orElseGet(() -> guess.<SupplyFinding>map(
                        why -> new SupplyFinding.LineGuessed(source, sourcePlusMinus(), resistance, why))
                .orElseGet(() -> new SupplyFinding.LineFitted(
                        source, sourcePlusMinus(), resistance, resistancePlusMinus(), used.size())));
    }
}
