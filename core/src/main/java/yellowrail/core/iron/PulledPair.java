package yellowrail.core.iron;

import java.util.Comparator;
import java.util.List;

/**
 * What a stage wants when a tube is pulled on either side: fewer tubes in parallel want a lighter load, in proportion.
 *
 * @param left tubes left on each side
 * @param wantedOhms what they want on the primary
 * @param tapOhms the tap to put the 8 ohm speaker on
 * @param givesOhms what the primary shows then
 */
public record PulledPair(int left, double wantedOhms, double tapOhms, double givesOhms) {

    private static final double SPEAKER = 8;

    /**
     * @param nominalOhms of the primary, each tap loaded as it is meant to be
     * @param perSide tubes on each side, two or more
     * @param taps what they are meant for, ohm, at least one
     */
    public static PulledPair of(double nominalOhms, int perSide, List<Double> taps) {
        if (perSide < 2) {
            throw new IllegalArgumentException("no tube is left of " + perSide);
        }
        double wanted = nominalOhms * perSide / (perSide - 1);
        double best = taps.stream()
                .min(Comparator.comparingDouble(tap -> Math.abs(Math.log(nominalOhms * SPEAKER / tap / wanted))))
                .orElseThrow();
        return new PulledPair(perSide - 1, wanted, best, nominalOhms * SPEAKER / best);
    }
}
