package yellowrail.core.supply;

import java.util.List;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/**
 * What the plates see of their supply: {@code V = Voc m - Rs I}, with {@code m} the mains over its reference. The source
 * resistance is a local slope, not a part: rectifier, winding, choke and half primary together, near the present current.
 *
 * @param source     Voc at the reference mains, V
 * @param resistance Rs, ohm
 * @param covariance of (Voc, Rs) at one sigma
 * @param used       the points it rests on
 * @param outliers   points that were left out
 * @param guess      what was guessed for want of a second point; blank when nothing was
 */
public record SupplyLine(double source, double resistance, Covariance covariance, List<SupplyPoint> used, List<SupplyPoint> outliers,
                         String guess) {

    /** Half width of a 95 % interval in sigmas. */
    private static final double WIDE = 1.96;

    /** The 2 by 2 covariance of source voltage and source resistance. */
    public record Covariance(double source, double both, double resistance) {
    }

    public SupplyLine {
        used = List.copyOf(used);
        outliers = List.copyOf(outliers);
    }

    public boolean isGuessed() {
        return !guess.isBlank();
    }

    /** @return plate volts to ground at a total current and a mains ratio */
    public double voltsAt(double amps, double mainsRatio) {
        return source * mainsRatio - resistance * amps;
    }

    /** Half width at 95 % of {@link #voltsAt}. */
    public double plusMinusAt(double amps, double mainsRatio) {
        double variance = mainsRatio * mainsRatio * covariance.source() - 2 * mainsRatio * amps * covariance.both() + amps * amps * covariance.resistance();
        return WIDE * Math.sqrt(Math.max(0, variance));
    }

    public double sourcePlusMinus() {
        return WIDE * Math.sqrt(covariance.source());
    }

    public double resistancePlusMinus() {
        return WIDE * Math.sqrt(covariance.resistance());
    }

    /** {@code 494.5 V ± 0.4 behind 477 ohm ± 13, from 2 points}. */
    public String inWords() {
        return "%s \u00b1 %s V behind %s \u00b1 %s ohm, %s".formatted(Figures.fixed(source, 1), Figures.plusMinus(sourcePlusMinus(), Unit.VOLT),
                Figures.fixed(resistance, 0), Figures.plusMinus(resistancePlusMinus(), Unit.OHM),
                isGuessed() ? guess : "fitted to %d points".formatted(used.size()));
    }
}
