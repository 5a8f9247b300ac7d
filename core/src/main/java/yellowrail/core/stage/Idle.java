package yellowrail.core.stage;

import java.util.List;
import java.util.function.ToDoubleFunction;
import yellowrail.core.root.Root;

/**
 * A stage at rest. SI.
 *
 * @param gridVolts grid to cathode of the upper side, V
 * @param cathodeVolts cathodes to ground, V: 0 with fixed bias
 * @param sides a tube of the upper side, in push-pull also one of the lower
 * @param tubesPerSide tubes in parallel
 * @param plateSupply what the supply at the primary gives, to the cathodes, V
 * @param screenSupply the same of the screens’ own supply, V
 */
public record Idle(
        double gridVolts,
        double cathodeVolts,
        List<Sample> sides,
        int tubesPerSide,
        double plateSupply,
        double screenSupply) {

    private static final double VOLT_TOLERANCE = 1e-9;

    public Idle {
        sides = List.copyOf(sides);
    }

    public static Idle of(OutputStage stage) {
        double grid = stage.bias().isCathode()
                ? -selfBias(stage)
                : stage.bias().volts().getAsDouble();
        return at(stage, grid);
    }

    private static Idle at(OutputStage stage, double grid) {
        Sample upper = Side.upper(stage, VOLT_TOLERANCE).atRest(grid);
        double copper = stage.losses().primary() * stage.tubesPerSide() * stage.throughPrimary(upper);
        double plates = stage.plateVolts() + copper;
        double screens = stage.screenVolts() + stage.losses().stopper() * upper.screenAmps();
        Sample lower = stage.otherSide().isEmpty()
                ? upper
                : Side.lower(stage, VOLT_TOLERANCE).at(new Signal.Slow(plates, screens, grid, 0), 0, 0);
        return new Idle(
                grid,
                stage.bias().isCathode() ? -grid : 0,
                stage.isPushPull() ? List.of(upper, lower) : List.of(upper),
                stage.tubesPerSide(),
                plates,
                screens);
    }

    /** Where the resistor’s drop and the tubes’ current agree; one rises, the other falls with it. */
    private static double selfBias(OutputStage stage) {
        double ohms = stage.bias().ohms().getAsDouble();
        return Root.between(
                volts -> {
                    Idle idle = at(stage, -volts);
                    return ohms * (idle.allPlateAmps() + idle.allScreenAmps()) - volts;
                },
                0,
                stage.screenVolts(),
                VOLT_TOLERANCE);
    }

    /** Of a tube of the upper side, A. */
    public double plateAmps() {
        return sides.get(0).plateAmps();
    }

    /** Of a tube of the upper side, A. */
    public double screenAmps() {
        return sides.get(0).screenAmps();
    }

    /** Of the whole stage, A. */
    public double allPlateAmps() {
        return all(Sample::plateAmps);
    }

    /** Of the whole stage, A. */
    public double allScreenAmps() {
        return all(Sample::screenAmps);
    }

    /** A current of the whole stage, A. */
    double all(ToDoubleFunction<Sample> amps) {
        return tubesPerSide * sides.stream().mapToDouble(amps).sum();
    }

    /** Of a tube, the mean of all, A. */
    public double meanPlateAmps() {
        return allPlateAmps() / (tubesPerSide * sides.size());
    }

    /** What the upper side draws more than the lower, of their mean; 0 where they are alike and single-ended. */
    public double sidesApart() {
        double mean = meanPlateAmps();
        double apart = mean > 0 ? 2 * (plateAmps() - mean) / mean : 0;
        return Math.abs(apart) < AmpStage.ALIKE ? 0 : apart;
    }

    /** What is left to magnetise the core, counted in the half primary, A: single-ended all of it. */
    public double coreAmps(OutputStage stage) {
        double upper = stage.magnetising(sides.get(0));
        return stage.isPushPull() ? upper - stage.magnetising(sides.get(1)) : upper;
    }

    /** Dissipation of the plate that takes most, W. */
    public double plateWatts() {
        return sides.stream().mapToDouble(Sample::plateWatts).max().orElseThrow();
    }

    /** Dissipation of the screen that takes most, W. */
    public double screenWatts() {
        return sides.stream().mapToDouble(Sample::screenWatts).max().orElseThrow();
    }
}
