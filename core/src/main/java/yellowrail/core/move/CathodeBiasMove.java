package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Socket;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.root.Root;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;

/**
 * Which cathode resistor brings a stage to its target. The tube needs a bias {@code Vk} at the target current; the
 * resistor is {@code Rk = Vk/(n Ik)}. For each standard value the self-consistent idle is found, where what the
 * resistor gives, {@code n Rk I}, is what the tube needs. The need falls with the current and the drop rises, so there
 * is one such point.
 */
final class CathodeBiasMove {

    /** Screen over cut-off, V/V, of a type whose model is not known; power tubes lie between 8 and 19. */
    private static final double USUAL_MU = 9;

    private static final double TRIODE_MU = 4;
    /** A bypass capacitor is rated for this many times the voltage across it. */
    private static final double BYPASS = 1.5;
    /** Larger than so many times the exact value no resistor is looked for. */
    private static final double MOST_TIMES = 8;
    /** With less than this left on the cathode a tube is as hot as it gets, V. */
    private static final double LEAST_NEED = 0.5;

    private static final double CONVERGED = 1e-9;
    private static final int MOST_TURNS = 200;

    private final StageIdle stage;
    private final List<ReadingSet> sets;
    private final ReadingSet newest;
    private final SupplyLine line;
    private final Mains mains;
    private final BiasForecast forecast;
    private final int tubes;
    private final int shared;
    private final Share share;

    CathodeBiasMove(StageIdle stage, List<ReadingSet> sets, SupplyLine line, Mains mains) {
        this.stage = stage;
        this.sets = sets;
        this.newest = sets.get(sets.size() - 1);
        this.line = line;
        this.mains = mains;
        this.forecast = new BiasForecast(stage, sets, List.of(0));
        this.tubes = newest.tubes().size();
        this.shared = shared(stage.sheet());
        this.share = Share.of(0, sets);
    }

    /** Sockets on one resistor: those of its test point where that is the resistor, else those of its channel. */
    private static int shared(AmpSheet sheet) {
        if (sheet.bias() == BiasKind.CATHODE_EACH) {
            return 1;
        }
        Socket first = sheet.sockets().get(0);
        return sheet.current().method() == CurrentMethod.CATHODE_RESISTOR
                ? sheet.socketsAt(first.testPoint()).size()
                : (int) sheet.sockets().stream()
                        .filter(socket -> socket.channel() == first.channel())
                        .count();
    }

    /** @throws NoLandingException if the supply cannot give what the target asks for */
    CathodeAdvice advise() {
        Aim aim = new Aim(stage, newest, mains);
        double amps = newest.meanCathode();
        double volts = newest.plateVolts() - newest.meanLift();
        for (int turn = 0; turn < MOST_TURNS; turn++) {
            amps = aim.current(0, volts, share.at(amps));
            double next = line.voltsAt(newest.other() + tubes * amps, newest.mainsRatio()) - needed(amps, volts);
            if (!(next > line.source() * newest.mainsRatio() / 3)) {
                break;
            }
            if (Math.abs(next - volts) < CONVERGED * volts) {
                double needed = needed(amps, next);
                if (!(needed > LEAST_NEED)) {
                    throw new NoLandingException(
                            new MoveFinding.NoResistorBringsThem(amps, newest.meanCathode(), newest.meanLift()));
                }
                return advice(needed / (shared * amps));
            }
            volts = next;
        }
        throw new NoLandingException(new MoveFinding.OutOfReach(line.finding()));
    }

    private CathodeAdvice advice(double exact) {
        List<CathodeAdvice.Choice> choices = new ArrayList<>();
        Stream.of(StandardValues.E12, StandardValues.E24)
                .flatMap(series -> series.around(exact).stream())
                .distinct()
                .sorted()
                .forEach(ohms -> choices.add(choice(
                        StandardValues.E12.around(exact).contains(ohms) ? StandardValues.E12 : StandardValues.E24,
                        ohms)));
        for (double ohms = exact;
                choices.stream().noneMatch(CathodeAdvice.Choice::allowed) && ohms < MOST_TIMES * exact; ) {
            ohms = StandardValues.E24
                    .around(choices.get(choices.size() - 1).ohms())
                    .get(1);
            choices.add(choice(StandardValues.E24, ohms));
        }
        if (choices.stream().noneMatch(CathodeAdvice.Choice::allowed)) {
            throw new NoLandingException(new MoveFinding.OutOfReach(line.finding()));
        }
        return new CathodeAdvice(
                exact,
                stage.sheet().testPoints(),
                shared,
                newest.meanLift() / (shared * newest.meanCathode()),
                choices);
    }

    private CathodeAdvice.Choice choice(StandardValues series, double ohms) {
        double amps = Root.between(
                each -> needed(each, plate(each, shared * ohms * each)) - shared * ohms * each,
                0,
                4 * newest.meanCathode(),
                CONVERGED);
        double cathode = shared * ohms * amps;
        double watts = cathode * cathode / ohms;
        Landing landing = landing(amps, cathode);
        Aim aim = new Aim(stage, newest, mains);
        boolean allowed = IntStream.range(0, landing.tubes().size()).allMatch(i -> {
            Landing.Tube tube = landing.tubes().get(i);
            return tube.cathode() <= aim.ceiling(i, tube.plateVolts(), share.at(tube.cathode())) * (1 + 1e-9);
        });
        return new CathodeAdvice.Choice(
                series, ohms, cathode, watts, StandardValues.wattsFor(watts), BYPASS * cathode, landing, allowed);
    }

    /** The choice made for a resistor, as a landing. */
    private Landing landing(double mean, double cathode) {
        double volts = line.voltsAt(newest.other() + tubes * mean, newest.mainsRatio());
        double[] currents = IntStream.range(0, tubes)
                .mapToDouble(i -> mean * newest.cathode(i) / newest.meanCathode())
                .toArray();
        Outlook outlook = new Outlook(stage, newest, mains);
        List<Landing.Tube> after = IntStream.range(0, tubes)
                .mapToObj(i ->
                        atResistor(outlook.tube(i, currents, volts - cathode, share.at(currents[i])), cathode, mean))
                .toList();
        double plusMinus = Math.hypot(
                line.plusMinusAt(newest.other() + tubes * mean, newest.mainsRatio()),
                FixedBiasMove.unreadMains(sets) * volts);
        List<Landing.Tube> told = after.stream()
                .map(tube -> tube.with(tube.reading(), tube.reading() * plusMinus / volts))
                .toList();
        return new Landing(
                told,
                volts,
                plusMinus,
                outlook.plateReading(volts, cathode, told),
                newest.other() + tubes * mean,
                OptionalDouble.of(-cathode),
                Optional.empty(),
                newest.mainsRatio());
    }

    /**
     * Where the cathode resistor is itself the test point, another resistor means another reading for the same current.
     */
    private Landing.Tube atResistor(Landing.Tube tube, double cathode, double mean) {
        if (stage.sheet().current().method().liftsCathode()
                && newest.values(0).problem().senseIsVolts()
                && newest.values(0).problem().senseReading() > newest.meanLift() / 2) {
            return tube.with(shared == 1 ? cathode * tube.cathode() / mean : cathode, 0);
        }
        return tube;
    }

    private double plate(double amps, double cathode) {
        return line.voltsAt(newest.other() + tubes * amps, newest.mainsRatio()) - cathode;
    }

    /** The bias a tube needs at a current, V, positive; none or less where the tube does not get there. */
    private double needed(double amps, double plate) {
        return forecast.at(amps, plate)
                .map(bias -> -bias.volts())
                .orElseGet(() -> usual().map(law -> -law.grid(amps)).orElse(0.0));
    }

    /** A three-halves law through the one reading and the usual cut-off. */
    private Optional<BiasLaw> usual() {
        double screen = forecast.screen(newest.values(0).plateVolts());
        boolean triode = stage.mainType().map(type -> type.isTriode()).orElse(false);
        double cutoff = -newest.meanLift() - screen / (triode ? TRIODE_MU : USUAL_MU) / 2;
        return BiasLaw.through(
                List.of(new BiasLaw.Pair(cutoff, 0), new BiasLaw.Pair(-newest.meanLift(), newest.meanCathode())));
    }
}
