package yellowrail.core.move;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.supply.ReadingSet;

/**
 * How the tubes of one group stand to one another while their common bias moves. Each follows the three-halves law with
 * its own constants, so {@code Ik^(2/3)} of one is a straight line over that of the group's mean; one setting gives the
 * ratio only, two give the line. But the slope of a line through two near points is mostly the noise of their readings,
 * so it is drawn towards the proportional one by as much as the noise can explain:
 *
 * <pre>slope = p + w (m - p),  w = T^2 / (T^2 + 2 (n here/(here - there))^2)</pre>
 *
 * with {@code p} the proportional slope, {@code m} the measured one, {@code n} the relative noise of {@code Ik^(2/3)}
 * and {@code T} how far the slopes of real tubes lie from proportional. A balance pot moves them against one another,
 * so behind one only the newest setting counts.
 */
final class Family {

    private static final double APART = 0.03;
    /** How far tubes' slopes lie from proportional, as a ratio, at one sigma. */
    private static final double TRUE_SPREAD = 0.05;
    /**
     * What settling tubes and wandering mains add to the meter's digits between two readings, as a ratio of the
     * current.
     */
    private static final double UNSTEADY = 0.003;
    /**
     * No tube falls below this part of its share while the others rise, nor stays above its inverse while they fall.
     */
    private static final double LEAST = 0.2;

    private static final double WIDE = 1.96;

    private final List<Integer> tubes;
    private final double here;
    private final double[] offset;
    private final double[] slope;
    private final double[] sigma;

    /**
     * @param balancing what balance pots will do to them
     * @param apart whether a balance pot may have moved them against one another between the settings
     */
    Family(PotGroup group, List<ReadingSet> sets, Balancing balancing, boolean apart) {
        this.tubes = group.tubes();
        this.offset = new double[tubes.size()];
        this.slope = new double[tubes.size()];
        this.sigma = new double[tubes.size()];
        ReadingSet newest = sets.get(sets.size() - 1);
        this.here = meanX(newest);
        ReadingSet before = before(sets, newest, apart);
        double there = meanX(before);
        for (int i = 0; i < tubes.size(); i++) {
            int tube = tubes.get(i);
            double x = BiasLaw.x(newest.cathode(tube)) + balancing.shift(tube);
            double proportional = x / here;
            slope[i] = proportional;
            sigma[i] = tubes.size() == 1 ? 0 : TRUE_SPREAD * proportional;
            if (before != newest) {
                double measured = (x - BiasLaw.x(before.cathode(tube))) / (here - there);
                double noise = Math.hypot(noise(newest, tube), noise(before, tube))
                        * here
                        / Math.abs(here - there)
                        * proportional;
                double spread = TRUE_SPREAD * proportional;
                double weight = spread * spread / (spread * spread + noise * noise);
                slope[i] = proportional + weight * (measured - proportional);
                sigma[i] = tubes.size() == 1 ? 0 : spread * Math.sqrt(1 - weight);
            }
            slope[i] = Math.max(LEAST * proportional, slope[i]);
            offset[i] = x - slope[i] * here;
        }
    }

    private ReadingSet before(List<ReadingSet> sets, ReadingSet newest, boolean apart) {
        for (int i = sets.size() - 2; i >= 0 && !apart; i--) {
            if (Math.abs(meanX(sets.get(i)) / here - 1) > APART && !sets.get(i).isAssumed()) {
                return sets.get(i);
            }
        }
        return newest;
    }

    /** Relative noise of {@code Ik^(2/3)} as read: two thirds of the current's, at one sigma. */
    private static double noise(ReadingSet set, int tube) {
        var problem = set.values(tube).problem();
        double digits = problem.meter().ofSense(problem.senseReading(), problem.senseDigit())
                - problem.meter().ofReading() * Math.abs(problem.senseReading());
        return 2.0 / 3 * Math.hypot(digits / WIDE / Math.abs(problem.senseReading()), UNSTEADY);
    }

    private double meanX(ReadingSet set) {
        return tubes.stream()
                .mapToDouble(tube -> BiasLaw.x(set.cathode(tube)))
                .average()
                .orElseThrow();
    }

    /**
     * Each tube's cathode current, A, in the order of the group, where the mean of their {@code Ik^(2/3)} is {@code x}.
     */
    double[] currents(double x) {
        return IntStream.range(0, tubes.size())
                .mapToDouble(i -> BiasLaw.amps(at(i, x)))
                .toArray();
    }

    private double at(int place, double x) {
        double proportional = (offset[place] + slope[place] * here) / here * x;
        return Math.max(LEAST * proportional, Math.min(proportional / LEAST, offset[place] + slope[place] * x));
    }

    /** The mean of {@code Ik^(2/3)} at which one tube carries a current: the other way round of {@link #at}. */
    double xFor(int place, double amps) {
        double wanted = BiasLaw.x(amps);
        double proportional = wanted * here / (offset[place] + slope[place] * here);
        return Math.max(LEAST * proportional, Math.min(proportional / LEAST, (wanted - offset[place]) / slope[place]));
    }

    /** Half width at 95 % of a tube's current beside the others', as a ratio, where their mean is {@code x}. */
    double plusMinus(int place, double x) {
        return WIDE * 1.5 * sigma[place] * Math.abs(x - here) / at(place, x);
    }
}
