package yellowrail.core.bias.cathode;

import java.util.Collections;
import java.util.List;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.root.Root;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.tube.model.TubeModel;

/**
 * The cathode resistor for a wanted idle: exactly, and the standard values around it, each with the idle that it gives.
 * Its rating is at least twice what it burns, three times where it stands beside a capacitor, which lives by being
 * cool; the by-pass capacitor is rated for half as much again as the cathodes stand at.
 */
public final class CathodeDesign {

    private static final double CLOSE = 1e-6;
    /** No cathode is wanted higher, as a share of the screens' volts. */
    private static final double LIFTED = 0.5;

    private static final double BYPASS = 1.5;
    /** Cool beside a capacitor: over the rating for twice. */
    private static final double BESIDE_CAPACITOR = 1.5;

    private final CathodeGroup group;
    private final double wanted;

    /** @param wanted mean cathode current of a tube, A, &gt; 0 */
    public CathodeDesign(CathodeGroup group, double wanted) {
        this.group = group;
        this.wanted = wanted;
    }

    /**
     * Like tubes on one resistor.
     *
     * @param count how many
     * @param lift what their cathodes stand at already, V; 0 with fixed bias
     */
    public static CathodeDesign of(GridNeed need, int count, double lift, double wanted) {
        List<TubeModel> tubes = Collections.nCopies(count, need.model());
        return new CathodeDesign(new CathodeGroup(tubes, need.plate() + lift, need.screen() + lift), wanted);
    }

    /**
     * Like tubes on one resistor, each burning so much.
     *
     * @param watts plate dissipation of each, W, &gt; 0
     */
    public static CathodeDesign burning(GridNeed need, int count, double lift, double watts) {
        CathodeGroup group = of(need, count, lift, need.amps()).group();
        double volts = Root.between(cathode -> group.burning(cathode) - watts, 0, LIFTED * group.screen(), CLOSE);
        return new CathodeDesign(group, group.amps(volts) / count);
    }

    public CathodeGroup group() {
        return group;
    }

    /** Of each tube, A. */
    public double wanted() {
        return wanted;
    }

    public double exactOhms() {
        return group.ohmsFor(wanted);
    }

    /** The two standard values around the exact one, the one with the cooler idle first. */
    public List<CathodeIdle> around(StandardValues series) {
        List<Double> two = series.around(exactOhms());
        return List.of(group.at(two.get(1)), group.at(two.get(0)));
    }

    /** Smallest usual rating of the resistor, W. */
    public static double rating(CathodeIdle idle) {
        return StandardValues.wattsFor(idle.resistorWatts());
    }

    /** The same where a capacitor stands beside it, W. */
    public static double ratingBesideCapacitor(CathodeIdle idle) {
        return StandardValues.wattsFor(BESIDE_CAPACITOR * idle.resistorWatts());
    }

    /** What the by-pass capacitor is rated for, V. */
    public static double bypassVolts(CathodeIdle idle) {
        return BYPASS * idle.cathodeVolts();
    }

    /** A resistor of its own for each tube, so that all draw alike, ohm, in the order of the tubes. */
    public List<Double> each() {
        return group.tubes().stream()
                .map(tube -> new CathodeGroup(List.of(tube), group.plate(), group.screen()).ohmsFor(wanted))
                .toList();
    }
}
