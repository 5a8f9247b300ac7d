package yellowrail.core.move;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.supply.ReadingSet;

/**
 * How the tubes of one group stand to one another while their common bias moves. Each follows the three-halves law with
 * its own constants, so {@code Ik^(2/3)} of one is a straight line over that of the group's mean; one setting gives the
 * ratio only, two give the line. A balance pot moves them against one another, so behind one only the newest setting counts.
 */
final class Family {

    private static final double APART = 0.03;

    private final List<Integer> tubes;
    private final double[] offset;
    private final double[] slope;

    /**
     * @param balancing what balance pots will do to them
     * @param apart     whether a balance pot may have moved them against one another between the settings
     */
    Family(PotGroup group, List<ReadingSet> sets, Balancing balancing, boolean apart) {
        this.tubes = group.tubes();
        this.offset = new double[tubes.size()];
        this.slope = new double[tubes.size()];
        ReadingSet newest = sets.get(sets.size() - 1);
        double here = meanX(newest);
        double there = here;
        ReadingSet before = newest;
        for (int i = sets.size() - 2; i >= 0 && before == newest && !apart; i--) {
            if (Math.abs(meanX(sets.get(i)) / here - 1) > APART) {
                before = sets.get(i);
                there = meanX(before);
            }
        }
        for (int i = 0; i < tubes.size(); i++) {
            double x = BiasLaw.x(newest.cathode(tubes.get(i))) + balancing.shift(tubes.get(i));
            slope[i] = before == newest ? x / here : (x - BiasLaw.x(before.cathode(tubes.get(i)))) / (here - there);
            offset[i] = x - slope[i] * here;
        }
    }

    private double meanX(ReadingSet set) {
        return tubes.stream().mapToDouble(tube -> BiasLaw.x(set.cathode(tube))).average().orElseThrow();
    }

    /** Each tube's cathode current, A, in the order of the group, where the mean of their {@code Ik^(2/3)} is {@code x}. */
    double[] currents(double x) {
        return IntStream.range(0, tubes.size()).mapToDouble(i -> BiasLaw.amps(offset[i] + slope[i] * x)).toArray();
    }

    /** The mean of {@code Ik^(2/3)} at which one tube carries a current. */
    double xFor(int place, double amps) {
        return (BiasLaw.x(amps) - offset[place]) / slope[place];
    }
}
