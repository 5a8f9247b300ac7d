package yellowrail.core.drawer;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.TestCondition;
import yellowrail.core.root.Root;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * What a group would do in an amp: the type's model is made to pass through each tube's test, then all get the one bias
 * voltage at which their mean is the wanted current. Without a model, or where the tester does not tell its grid volts,
 * the currents are taken in proportion.
 *
 * @param grid that bias voltage, V; empty without a model
 * @param amps cathode current of each tube, A, in the order of the group
 * @param byModel whether the model was used
 * @param plusMinus how far, at 95 %, one of them may lie from its figure beside the others, A; empty without a model
 */
public record GroupForecast(OptionalDouble grid, List<Double> amps, boolean byModel, OptionalDouble plusMinus) {

    /** How well a tester's current and transconductance are repeated, at 95 %. */
    private static final double TESTER_CURRENT = 0.02;

    /** A tube by its own curves, another day, at 95 %. */
    private static final double TRACED = 0.03;

    private static final double TESTER_STEEPNESS = 0.05;
    /** Where the transconductance was not read, amplification factors of one type scatter by this, at 95 %. */
    private static final double MU_SCATTER = 0.08;

    /** Amplification factors of one type lie within this of the typical one. */
    private static final double MU_SPREAD = 1.25;

    /** Of factors, volts and amperes: far finer than anything told. */
    private static final double CLOSE = 1e-12;

    public GroupForecast {
        amps = List.copyOf(amps);
    }

    /**
     * @param tubes by figures at one condition
     * @param own models of tubes whose curves were traced, by label: they stand before any test
     * @param plate of the amp, V
     * @param screen of the amp, V
     * @param mean wanted cathode current, A
     */
    public static GroupForecast of(
            TubeType type,
            TestCondition condition,
            TesterReading.Current current,
            List<Candidate> tubes,
            Map<String, TubeModel> own,
            double plate,
            double screen,
            double mean) {
        Optional<TubeModel> typical = condition.grid().isPresent()
                ? TubeModels.published().of(type).map(known -> known.model())
                : Optional.empty();
        if (typical.isEmpty()) {
            double tested =
                    tubes.stream().mapToDouble(Candidate::amps).average().orElseThrow();
            return new GroupForecast(
                    OptionalDouble.empty(),
                    tubes.stream().map(tube -> tube.amps() / tested * mean).toList(),
                    false,
                    OptionalDouble.empty());
        }
        List<TubeModel> models = tubes.stream()
                .map(tube -> Optional.ofNullable(own.get(tube.label()))
                        .orElseGet(() -> through(typical.get(), tube, condition, current)))
                .toList();
        double grid = Root.between(
                at -> models.stream()
                                .mapToDouble(model -> model.cathodeCurrent(plate, screen, at))
                                .average()
                                .orElseThrow()
                        - mean,
                -2 * screen,
                0,
                CLOSE);
        double widest = tubes.stream()
                .mapToDouble(tube -> own.containsKey(tube.label())
                        ? TRACED * own.get(tube.label()).cathodeCurrent(plate, screen, grid)
                        : unsure(
                                typical.get(),
                                tube,
                                condition,
                                current,
                                model -> model.cathodeCurrent(plate, screen, grid)))
                .max()
                .orElseThrow();
        return new GroupForecast(
                OptionalDouble.of(grid),
                models.stream()
                        .map(model -> model.cathodeCurrent(plate, screen, grid))
                        .toList(),
                true,
                OptionalDouble.of(widest));
    }

    /**
     * The tester's error in either figure, or the scatter of what it did not read, carried to the amp; root of squares.
     */
    private static double unsure(
            TubeModel typical,
            Candidate tube,
            TestCondition at,
            TesterReading.Current current,
            ToDoubleFunction<TubeModel> there) {
        double amps = there.applyAsDouble(through(typical, tube, at, current));
        Candidate more = new Candidate(tube.label(), tube.amps() * (1 + TESTER_CURRENT), tube.transconductance());
        double byCurrent = there.applyAsDouble(through(typical, more, at, current)) - amps;
        TubeModel other = tube.transconductance().isEmpty()
                ? scaled(typical.withMu(1 + MU_SCATTER), tube, at, current)
                : through(
                        typical,
                        new Candidate(
                                tube.label(),
                                tube.amps(),
                                OptionalDouble.of(tube.transconductance().getAsDouble() * (1 + TESTER_STEEPNESS))),
                        at,
                        current);
        return Math.hypot(byCurrent, there.applyAsDouble(other) - amps);
    }

    /**
     * The typical model with the amplification factor that gives the tube's steepness, if known, and then its current.
     */
    private static TubeModel through(
            TubeModel typical, Candidate tube, TestCondition at, TesterReading.Current current) {
        TubeModel model = typical;
        if (tube.transconductance().isPresent()) {
            double wanted = tube.transconductance().getAsDouble();
            double factor = Root.between(
                    mu -> scaled(typical.withMu(mu), tube, at, current)
                                    .transconductance(
                                            at.plate(), at.screen(), at.grid().getAsDouble())
                            - wanted,
                    1 / MU_SPREAD,
                    MU_SPREAD,
                    CLOSE);
            model = typical.withMu(factor);
        }
        return scaled(model, tube, at, current);
    }

    private static TubeModel scaled(TubeModel model, Candidate tube, TestCondition at, TesterReading.Current current) {
        double grid = at.grid().getAsDouble();
        double here = current == TesterReading.Current.CATHODE
                ? model.cathodeCurrent(at.plate(), at.screen(), grid)
                : model.plateCurrent(at.plate(), at.screen(), grid);
        return model.scaled(tube.amps() / here);
    }

    /** Greatest less least, A. */
    public double spread() {
        return IntStream.range(0, amps.size()).mapToDouble(amps::get).max().orElseThrow()
                - IntStream.range(0, amps.size()).mapToDouble(amps::get).min().orElseThrow();
    }
}
