package yellowrail.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.root.Root;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/** Builds the practice amp of an exercise: the seed decides type, tubes and supply, the exercise what is wrong. */
public final class Workshop {

    private static final List<String> TYPES = List.of("6L6GC", "EL34", "6550A", "5881");
    private static final double REFERENCE = 120;
    private static final double LOW_MAINS = -0.08;
    private static final double WANDER = 0.008;
    private static final double MISMATCH = 0.20;
    private static final double CREEP = 0.02;
    private static final double LEAK = 5;
    private static final double SLOW_CREEP = 0.007;
    private static final double SLOW_LEAK = 0.09;
    private static final double RUNAWAY = 0.012;
    private static final double MAINS_DRIFT = 0.002;
    private static final double FOUND_SET = 0.62;
    private static final double COLDEST = 1.45;
    /** A worn wiper leaves its track so far to the hot side. */
    private static final double LIFTS = 0.3;
    /** The practice amps are built so: whatever their plates reach is taken on. */
    private static final double ROOM = 40;

    private final Exercise exercise;
    private final long seed;
    private final TubeType type;
    private final TubeModel typical;
    private final double source;
    private final BiasSupply biasSupply;

    public Workshop(Exercise exercise, long seed) {
        this.exercise = exercise;
        this.seed = seed;
        Random chance = new Random(seed);
        this.type = TubeCatalogue.published()
                .find(TYPES.get(chance.nextInt(TYPES.size())))
                .orElseThrow();
        this.typical = TubeModels.published().of(type).orElseThrow().model();
        this.source = Math.min(
                440 + 40 * chance.nextDouble(),
                0.98 * type.customaryRating().screenVolts().orElse(500) + 45);
        this.biasSupply = new PracticeBias(COLDEST * middle()).supply();
    }

    /** What the builder is told about it; with a hidden fault some of it is wrong. */
    public AmpSheet sheet(String name, String notes) {
        AmpSheet usual = new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, type, 2, false).sheet();
        Supply supply = new Supply(
                Rectifier.SILICON,
                true,
                OptionalDouble.of(Math.rint((source + 4) / Math.sqrt(2))),
                OptionalDouble.of(500),
                OptionalDouble.of(0.015),
                OptionalDouble.of(1),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Iron iron = new Iron(List.of(PracticeOutput.LOAD), OptionalDouble.empty(), List.of());
        return usual.with(new Identity(name, notes, ""))
                .withPots(List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, false)))
                .at(REFERENCE, usual.settleMinutes())
                .with(supply)
                .with(usual.fittings().with(OptionalDouble.of(AmpStage.usualLoad(type, true)), iron))
                .with(new Accepted(OptionalDouble.of(source + ROOM), OptionalDouble.of(source + ROOM)))
                .with(Optional.of(biasSupply()));
    }

    /**
     * The bias supply as the builder is told of it: a tap, a pot as a divider, and nothing that holds an open wiper.
     */
    BiasSupply biasSupply() {
        return biasSupply;
    }

    /** Plate voltage that already stands in the log, taken with the tubes pulled, V. */
    public OptionalDouble platesAsFound() {
        return exercise == Exercise.UNLOADED_VOLTAGE ? OptionalDouble.of(source * 0.985) : OptionalDouble.empty();
    }

    /** The bench as it is found. */
    public Bench bench() {
        Circuit.PotAction action = circuit().bias().pots().get(0).action();
        if (exercise.isSoak()) {
            return bench(BenchState.cold(List.of(set()), 2));
        }
        double found = action == Circuit.PotAction.BALANCE
                ? 0.5
                : circuit().bias().pots().get(0).clockwiseIsHotter() ? 0.12 : 0.88;
        return bench(BenchState.cold(List.of(found), 2));
    }

    /** The bench as it was left. */
    public Bench bench(BenchState state) {
        return bench(state, Optional.empty());
    }

    /**
     * The same with the bias supply that the builder has kept with the amp, if that is another than it was found with.
     */
    public Bench bench(BenchState state, Optional<BiasSupply> kept) {
        SimulatedMeter meter = new SimulatedMeter(
                1 + 0.003 * (2 * new Random(seed + 5).nextDouble() - 1),
                1 + 0.006 * (2 * new Random(seed + 6).nextDouble() - 1),
                0.0006,
                0.1,
                1e-4);
        Circuit found = circuit();
        Circuit circuit = kept.filter(supply -> !supply.equals(biasSupply()))
                .map(supply -> found.with(PracticeBias.rebuilt(found.bias(), supply)))
                .orElse(found);
        return new Bench(sheet("", ""), circuit, meter, seed, state);
    }

    /** What the tube in the first socket does while it stays on. */
    private Circuit.Habit habit() {
        return switch (exercise) {
            case CREEPING_TUBE -> Circuit.Habit.creeping(CREEP);
            case SOAK_CREEP -> Circuit.Habit.creeping(SLOW_CREEP);
            case SOAK_SETTLING -> new Circuit.Habit(0.09, 300, 0, 0);
            case SOAK_RUNAWAY -> new Circuit.Habit(0.03, 150, 0, RUNAWAY);
            default -> Circuit.Habit.GOOD;
        };
    }

    /** Of the second socket's coupling capacitor. */
    private Circuit.Leak leak() {
        return switch (exercise) {
            case LEAKY_CAPACITOR -> new Circuit.Leak(LEAK, 0);
            case SOAK_LEAK -> new Circuit.Leak(0, SLOW_LEAK);
            default -> Circuit.Leak.NONE;
        };
    }

    /** Where the pot stands so that the hotter tube idles at the middle of what is customary. */
    private double set() {
        Circuit circuit = circuit();
        CircuitSolver solver = new CircuitSolver(circuit);
        return Root.between(
                position -> {
                    OperatingPoint point = solver.solve(new double[] {position}, 1, new double[] {1, 1});
                    return FOUND_SET - Math.max(point.watts(0), point.watts(1)) / circuit.ratedWatts();
                },
                0,
                1,
                1e-4);
    }

    /** Grid volts in the middle of what is customary, V. */
    private double middle() {
        return typical.gridFor(
                0.6 * type.customaryRating().plateWatts() / (0.92 * source), 0.92 * source, 0.9 * source);
    }

    private Circuit circuit() {
        Random chance = new Random(seed + 1);
        TubeModel batch =
                typical.scaled(Math.exp(0.06 * chance.nextGaussian())).withMu(Math.exp(0.02 * chance.nextGaussian()));
        double apart = exercise == Exercise.MISMATCHED_PAIR ? MISMATCH : 0.015;
        List<Circuit.Tube> tubes = new ArrayList<>();
        tubes.add(new Circuit.Tube(batch.scaled(1 + apart), habit(), true, Circuit.Leak.NONE));
        tubes.add(new Circuit.Tube(batch.scaled(1 - apart), Circuit.Habit.GOOD, false, leak()));
        double ohms = 220 + 120 * chance.nextDouble();
        double middle = middle();
        Circuit.PotAction action = switch (exercise) {
            case BALANCE_ONLY -> Circuit.PotAction.BALANCE;
            case OPEN_POT -> Circuit.PotAction.NOTHING;
            default -> Circuit.PotAction.RANGE;
        };
        double cold = (exercise == Exercise.BALANCE_ONLY ? 1.25 : COLDEST) * middle;
        Circuit.Bias bias = new Circuit.Bias(
                cold,
                0.4 * middle,
                List.of(new Circuit.Pot(action, exercise != Exercise.WRONG_DIRECTION)),
                exercise == Exercise.WORN_WIPER ? LIFTS : 1,
                0);
        return new Circuit(
                tubes,
                new Circuit.Supply(source, ohms, 8, 0.015, 130 + 100 * chance.nextDouble()),
                bias,
                1,
                exercise == Exercise.SHARED_RESISTOR ? 2 : 1,
                false,
                new Circuit.Mains(
                        REFERENCE,
                        exercise == Exercise.MAINS_LOW ? LOW_MAINS : 0,
                        WANDER,
                        exercise == Exercise.SOAK_MAINS ? MAINS_DRIFT : 0),
                type.customaryRating().plateWatts());
    }
}
