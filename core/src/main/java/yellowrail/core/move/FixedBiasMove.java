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
 * Solved by turns: the aim at a plate voltage gives the currents, they give the plate voltage; each turn shrinks the
 * error by {@code Rs N I / V}, a tenth or so. Where no turn-by-turn answer exists the supply cannot give that power.
 *
 * <p>Tubes of a group within the tolerance of matching are set by their mean, but none beyond the ceiling of its own
 * window; tubes farther apart, or of which one stands less, are set as far as the first of them reaches its ceiling.
 */
final class FixedBiasMove {

    /** Tubes within this of their mean count as matched. */
    static final double MATCHED = 0.10;
    /** Wall sockets wander by about this between two looks, as a ratio. */
    private static final double UNREAD_MAINS = 0.01;

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
        List<Family> families = groups.stream()
                .map(group -> new Family(group, sets, balancing, apart))
                .toList();
        double[] currents =
                IntStream.range(0, tubes).mapToDouble(newest::cathode).toArray();
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
            double next =
                    line.voltsAt(newest.other() + DoubleStream.of(currents).sum(), newest.mainsRatio());
            if (Math.abs(next - volts) < CONVERGED * volts) {
                return landing(currents, shares, next, groups, families);
            }
            volts = next;
        }
        throw new NoLandingException(new MoveFinding.SagsTooFar(line.finding()));
    }

    /** The most each tube may draw as it stands, A. */
    double[] ceilings() {
        Aim aim = new Aim(stage, newest, mains);
        Share[] shares = shares();
        return IntStream.range(0, shares.length)
                .mapToDouble(tube -> aim.ceiling(
                        tube, newest.plateVolts() - newest.lift(tube), shares[tube].at(newest.cathode(tube))))
                .toArray();
    }

    /** The most each tube may draw where the stage lands, A. */
    double[] ceilings(Landing landing) {
        Aim aim = new Aim(stage, newest, mains);
        return IntStream.range(0, landing.tubes().size())
                .mapToDouble(i -> {
                    Landing.Tube tube = landing.tubes().get(i);
                    return aim.ceiling(i, tube.plateVolts(), 1 - tube.plateAmps() / tube.cathode());
                })
                .toArray();
    }

    private Share[] shares() {
        return IntStream.range(0, stage.sheet().sockets().size())
                .mapToObj(tube -> Share.of(tube, sets))
                .toArray(Share[]::new);
    }

    /** Where the stage stands once its sides are alike and the level is left as it is. */
    Landing balanced(List<PotGroup> groups) {
        double[] currents = balancing.currents();
        return landing(
                currents,
                shares(),
                line.voltsAt(newest.other() + DoubleStream.of(currents).sum(), newest.mainsRatio()),
                groups,
                List.of());
    }

    /** By the mean where they match and none passes its ceiling; else as far as the first of them reaches its own. */
    private static double[] currents(
            PotGroup group, Family family, Aim aim, Share[] shares, double[] now, double volts) {
        List<Integer> tubes = group.tubes();
        double[] wanted = tubes.stream()
                .mapToDouble(tube -> aim.current(tube, volts, shares[tube].at(now[tube])))
                .toArray();
        double[] ceilings = tubes.stream()
                .mapToDouble(tube -> aim.ceiling(tube, volts, shares[tube].at(now[tube])))
                .toArray();
        double[] byMean = family.currents(meanOf(family, wanted));
        double mean = average(byMean);
        boolean matched = IntStream.range(0, byMean.length).allMatch(i -> Math.abs(byMean[i] - mean) <= MATCHED * mean);
        boolean within = IntStream.range(0, byMean.length).allMatch(i -> byMean[i] <= ceilings[i]);
        return matched && within
                ? byMean
                : family.currents(IntStream.range(0, ceilings.length)
                        .mapToDouble(i -> family.xFor(i, ceilings[i]))
                        .min()
                        .orElseThrow());
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

    private Landing landing(
            double[] currents, Share[] shares, double volts, List<PotGroup> groups, List<Family> families) {
        double total = newest.other() + DoubleStream.of(currents).sum();
        Outlook outlook = new Outlook(stage, newest, mains);
        double plusMinus = Math.hypot(line.plusMinusAt(total, newest.mainsRatio()), unreadMains(sets) * volts);
        List<Landing.Tube> tubes = new ArrayList<>();
        for (int i = 0; i < currents.length; i++) {
            Landing.Tube tube = outlook.tube(i, currents, volts - newest.lift(i), shares[i].at(currents[i]));
            tubes.add(tube.with(
                    tube.reading(),
                    tube.reading() * Math.hypot(plusMinus / volts, beside(i, currents, groups, families))));
        }
        BiasForecast forecast = new BiasForecast(stage, sets, groups.get(0).tubes());
        Optional<BiasForecast.Bias> bias =
                forecast.at(tubes.get(groups.get(0).tubes().get(0)).cathode(), volts);
        return new Landing(
                tubes,
                volts,
                plusMinus,
                outlook.plateReading(volts, newest.meanLift(), tubes),
                total,
                bias.map(found -> OptionalDouble.of(found.volts())).orElse(OptionalDouble.empty()),
                bias.map(BiasForecast.Bias::from),
                newest.mainsRatio());
    }

    /** How far, as a ratio, mains may have moved between settings while nobody read it. */
    static double unreadMains(List<ReadingSet> sets) {
        return sets.size() > 1
                        && sets.subList(sets.size() - 2, sets.size()).stream().anyMatch(set -> !set.knowsMains())
                ? UNREAD_MAINS
                : 0;
    }

    private static double beside(int tube, double[] currents, List<PotGroup> groups, List<Family> families) {
        for (int g = 0; g < families.size(); g++) {
            List<Integer> group = groups.get(g).tubes();
            int place = group.indexOf(tube);
            if (place >= 0) {
                double x = group.stream()
                        .mapToDouble(each -> BiasLaw.x(currents[each]))
                        .average()
                        .orElseThrow();
                return families.get(g).plusMinus(place, x);
            }
        }
        return 0;
    }
}
