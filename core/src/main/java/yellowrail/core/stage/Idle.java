package yellowrail.core.stage;

import yellowrail.core.root.Root;

/**
 * A stage at rest; currents of one tube. SI.
 *
 * @param gridVolts grid to cathode, V
 * @param plateAmps A
 * @param screenAmps A
 * @param cathodeVolts cathodes to ground, V: 0 with fixed bias
 */
public record Idle(double gridVolts, double plateAmps, double screenAmps, double cathodeVolts) {

    private static final double VOLT_TOLERANCE = 1e-9;

    public static Idle of(OutputStage stage) {
        double grid = stage.bias().isCathode()
                ? -selfBias(stage)
                : stage.bias().volts().getAsDouble();
        return new Idle(
                grid,
                stage.model().plateCurrent(stage.plateVolts(), stage.screenVolts(), grid),
                stage.model().screenCurrent(stage.plateVolts(), stage.screenVolts(), grid),
                stage.bias().isCathode() ? -grid : 0);
    }

    /** Where the resistor's drop and the tubes' current agree; one rises, the other falls with it. */
    private static double selfBias(OutputStage stage) {
        double ohms = stage.tubes() * stage.bias().ohms().getAsDouble();
        return Root.between(
                volts -> ohms * stage.model().cathodeCurrent(stage.plateVolts(), stage.screenVolts(), -volts) - volts,
                0,
                stage.screenVolts(),
                VOLT_TOLERANCE);
    }
}
