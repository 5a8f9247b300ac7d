package yellowrail.core.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import yellowrail.core.Amps;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Topology;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/** A simulated amp drawn by chance: supply, tubes and pots all differ from what anybody wrote down. */
final class RandomAmp {

    private static final List<String> TYPES = List.of("6L6GC", "EL34", "6550A", "KT88", "5881", "KT66");

    final AmpSheet sheet;
    final CircuitSolver solver;
    final Random chance;
    final SimulatedMeter meter;
    private final int tubes;

    RandomAmp(long seed, boolean perfect, boolean screenMeasured) {
        this(seed, perfect, screenMeasured, OptionalDouble.empty());
    }

    /**
     * @param apart how far the tubes of a pair draw apart, as a ratio of their mean; empty for two or four tubes by
     *     chance
     */
    RandomAmp(long seed, boolean perfect, boolean screenMeasured, OptionalDouble apart) {
        chance = new Random(seed);
        String type = TYPES.get(chance.nextInt(TYPES.size()));
        tubes = chance.nextBoolean() || apart.isPresent() ? 2 : 4;
        AmpSheet usual = new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type(type), tubes, false)
                .sheet()
                .withPots(List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)));
        AmpSheet counted = Amps.with(usual, screenMeasured ? ScreenSense.Way.MEASURED : ScreenSense.Way.TYPICAL);
        sheet = counted.withPots(usual.pots()).with(new Accepted(OptionalDouble.of(700), OptionalDouble.of(700)));
        TubeModel typical =
                TubeModels.published().of(Amps.type(type)).orElseThrow().model();
        TubeModel batch = typical.scaled(Math.exp(0.10 * chance.nextGaussian()))
                .withMu(Math.exp(0.03 * chance.nextGaussian()))
                .withScreen(shareFactor(typical, Amps.type(type).screenShare())
                        * Math.exp((screenMeasured ? 0.15 : 0.12) * chance.nextGaussian()));
        List<Circuit.Tube> in = new ArrayList<>();
        for (int i = 0; i < tubes; i++) {
            double drawn = Math.exp(0.02 * chance.nextGaussian());
            in.add(new Circuit.Tube(
                    batch.scaled(apart.isEmpty() ? drawn : 1 + (i == 0 ? 0.5 : -0.5) * apart.getAsDouble()),
                    Circuit.Habit.GOOD,
                    i < tubes / 2,
                    Circuit.Leak.NONE));
        }
        double source = 400 + 120 * chance.nextDouble();
        Circuit.Supply supply = new Circuit.Supply(
                source,
                (150 + 500 * chance.nextDouble()) * 2 / tubes,
                150 * chance.nextDouble(),
                0.01 + 0.02 * chance.nextDouble(),
                1000 * chance.nextDouble());
        double middle = typical.gridFor(0.045, 0.92 * source, 0.9 * source);
        Circuit circuit = new Circuit(
                in,
                supply,
                new Circuit.Bias(1.6 * middle, 0.4 * middle, List.of(new Circuit.Pot(Circuit.PotAction.RANGE, true))),
                1,
                1,
                false,
                new Circuit.Mains(120, 0, 0.01),
                30);
        solver = new CircuitSolver(circuit);
        meter = perfect
                ? SimulatedMeter.PERFECT
                : new SimulatedMeter(
                        1 + 0.005 * (2 * chance.nextDouble() - 1),
                        1 + 0.01 * (2 * chance.nextDouble() - 1),
                        0.001,
                        0.1,
                        1e-4);
    }

    /**
     * Makes the batch's screen share at an idle what the catalogue calls typical, so that the spread is around that.
     */
    private static double shareFactor(TubeModel model, double share) {
        double grid = model.gridFor(0.040, 430, 420);
        double ratio = model.screenCurrent(430, 420, grid) / model.plateCurrent(430, 420, grid);
        return share / (1 - share) / ratio;
    }

    OperatingPoint at(double pot, double mains) {
        double[] warm = new double[tubes];
        Arrays.fill(warm, 1);
        return solver.solve(new double[] {pot}, mains, warm);
    }

    /** Mean plate dissipation at the reference mains, W: the truth. */
    double truth(double pot) {
        return at(pot, 1).meanWatts();
    }

    double target() {
        return sheet.target().aim() * sheet.rating(Amps.type(sheet.tubeType())).plateWatts();
    }

    double potFor(double share) {
        return potWhere(pot -> truth(pot) - share * target());
    }

    /** Turns the pot until something that rises with it crosses zero. */
    static double potWhere(java.util.function.DoubleUnaryOperator rising) {
        double low = 0;
        double high = 1;
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            if (rising.applyAsDouble(middle) < 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** What the meter shows at a tube's test point, V across 1 ohm; without the noise of a single look. */
    double shownAt(int tube, double pot, double mains) {
        return at(pot, mains).cathodeAmps(tube) * meter.ampsGain();
    }

    /** Everything a builder reads at one setting. */
    List<Reading> read(double pot, double mains, long from) {
        OperatingPoint point = at(pot, mains);
        List<Entry> entries = new ArrayList<>();
        boolean perfect = meter.noise() == 0;
        entries.add(Entry.measured(
                ReadingKind.MAINS,
                "",
                sheet.mainsVolts() * mains * (perfect ? 1 : 1 + 0.001 * (2 * chance.nextDouble() - 1))));
        for (int i = 0; i < tubes; i++) {
            String label = sheet.sockets().get(i).label();
            entries.add(Entry.measured(ReadingKind.SENSE_VOLTS, label, meter.sense(point.cathodeAmps(i), chance)));
            if (sheet.screen().way() == ScreenSense.Way.MEASURED) {
                entries.add(Entry.measured(ReadingKind.SCREEN_AMPS, label, meter.sense(point.screenAmps()[i], chance)));
            }
        }
        entries.add(Entry.measured(ReadingKind.PLATE, "", meter.volts(point.plate(), chance)));
        entries.add(Entry.measured(ReadingKind.BIAS, "", meter.volts(point.grids()[0], chance)));
        List<Reading> readings = new ArrayList<>();
        for (Entry entry : entries) {
            readings.add(
                    new Reading(from + readings.size(), entry, Amps.NOON.plusSeconds(from + readings.size()), from, 1));
        }
        return readings;
    }

    /** Whether the pot reaches from well below the target to well above it: else there is nothing to set. */
    boolean isSettable() {
        return truth(0) < 0.35 * target() && truth(1) > 1.1 * target();
    }
}
