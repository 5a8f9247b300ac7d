package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;

/**
 * Where a stage with fixed bias lands when every group of tubes is brought to its aim: for matched tubes
 *
 * <pre>(Voc m - Rs (I0 + N I) - Vk) I (1 - s) = Ptarget, the smaller root</pre>
 *
 * Solved by turns: the aim at a plate voltage gives the currents, they give the plate voltage; each turn shrinks the error
 * by {@code Rs N I / V}, a tenth or so. Where no turn-by-turn answer exists the supply cannot give that power.
 *
 * <p>Tubes of a group within the tolerance of matching are set by their mean, but none beyond the ceiling of the window;
 * tubes farther apart are set by the hottest, at that ceiling.
 */
final class FixedBiasMove {

    /** Tubes within this of their mean count as matched. */
    static final double MATCHED = 0.10;
    private static final double CONVERGED = 1e-9;
    private static final int MOST_TURNS = 200;
    /** Turns that bring a group's mean current to the wanted one, well below any meter's digit. */
    private static final int REFINED = 8;

    private final StageIdle stage;
    private final List<ReadingSet> sets;
    private final ReadingSet newest;
    private final SupplyLine line;
    private final Mains mains;
    private final Balancing balancing;

    FixedBiasMove(StageIdle stage, List<ReadingSet> sets, SupplyLine line, Mains mains, Balancing balancing) {
        this.stage = stage;
        this.sets = sets;
        this.newest = sets.get(sets.size() - 1);
        this.line = line;
        this.mains = mains;
        this.balancing = balancing;
    }

    /** @throws NoLandingException if the supply cannot give what the target asks for */
    Landing landing(List<PotGroup> groups) {
        AmpSheet sheet = stage.sheet();
        int tubes = sheet.sockets().size();
        Aim aim = new Aim(stage, newest, mains);
        Share[] shares = shares();
        boolean apart = sheet.pots().stream().anyMatch(pot -> pot.action() == Pot.Action.BALANCE);
        List<Family> families = groups.stream().map(group -> new Family(group, sets, balancing, apart)).toList();
        double[] currents = IntStream.range(0, tubes).mapToDouble(newest::cathode).toArray();
        double volts = newest.plateVolts();
        for (int turn = 0; turn < MOST_TURNS; turn++) {
            double toCathode = volts - newest.meanLift();
            if (!(toCathode > line.source() * newest.mainsRatio() / 2)) {
                break;
            }
            for (int g = 0; g < groups.size(); g++) {
                double[] group = currents(groups.get(g), families.get(g), aim, shares, currents, toCathode);
                for (int i = 0; i < group.length; i++) {
                    currents[groups.get(g).tubes().get(i)] = group[i];
                }
            }
            double next = line.voltsAt(newest.other() + DoubleStream.of(currents).sum(), newest.mainsRatio());
            if (Math.abs(next - volts) < CONVERGED * volts) {
                return landing(currents, shares, next, groups);
            }
            volts = next;
        }
        throw new NoLandingException("This supply (%s) cannot bring the tubes to their target: the plates would sag below half the source voltage."
                .formatted(line.inWords()));
    }

    private Share[] shares() {
        return IntStream.range(0, stage.sheet().sockets().size()).mapToObj(tube -> Share.of(tube, sets)).toArray(Share[]::new);
    }

    /** Where the stage stands once its sides are alike and the level is left as it is. */
    Landing balanced(List<PotGroup> groups) {
        double[] currents = balancing.currents();
        return landing(currents, shares(), line.voltsAt(newest.other() + DoubleStream.of(currents).sum(), newest.mainsRatio()), groups);
    }

    private static double[] currents(PotGroup group, Family family, Aim aim, Share[] shares, double[] now, double volts) {
        List<Integer> tubes = group.tubes();
        double[] wanted = tubes.stream().mapToDouble(tube -> aim.current(tube, volts, shares[tube].at(now[tube]))).toArray();
        double[] byMean = family.currents(meanOf(family, wanted));
        double mean = average(byMean);
        int hot = IntStream.range(0, byMean.length).reduce((one, other) -> byMean[one] >= byMean[other] ? one : other).orElseThrow();
        boolean matched = IntStream.range(0, byMean.length).allMatch(i -> Math.abs(byMean[i] - mean) <= MATCHED * mean);
        double ceiling = aim.ceiling(tubes.get(hot), volts, shares[tubes.get(hot)].at(now[tubes.get(hot)]));
        return matched && byMean[hot] <= ceiling ? byMean : family.currents(family.xFor(hot, ceiling));
    }

    /** The mean of {@code Ik^(2/3)} that gives the wanted mean current. */
    private static double meanOf(Family family, double[] wanted) {
        double mean = average(wanted);
        double x = BiasLaw.x(mean);
        for (int i = 0; i < REFINED; i++) {
            x += BiasLaw.x(mean) - BiasLaw.x(average(family.currents(x)));
        }
        return x;
    }

    private static double average(double[] values) {
        return DoubleStream.of(values).average().orElseThrow();
    }

    private Landing landing(double[] currents, Share[] shares, double volts, List<PotGroup> groups) {
        double total = newest.other() + DoubleStream.of(currents).sum();
        Outlook outlook = new Outlook(stage, newest, mains);
        List<Landing.Tube> tubes = new ArrayList<>();
        for (int i = 0; i < currents.length; i++) {
            tubes.add(outlook.tube(i, currents, volts - newest.lift(i), shares[i].at(currents[i])));
        }
        BiasForecast forecast = new BiasForecast(stage, sets, groups.get(0).tubes());
        Optional<BiasForecast.Bias> bias = forecast.at(tubes.get(groups.get(0).tubes().get(0)).cathode(), volts);
        return new Landing(tubes, volts, line.plusMinusAt(total, newest.mainsRatio()), outlook.plateReading(volts, newest.meanLift(), tubes), total,
                bias.map(found -> OptionalDouble.of(found.volts())).orElse(OptionalDouble.empty()), bias.map(BiasForecast.Bias::from).orElse(""),
                newest.mainsRatio());
    }
}
