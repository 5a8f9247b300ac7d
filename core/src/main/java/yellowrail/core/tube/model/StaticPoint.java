package yellowrail.core.tube.model;

import java.util.OptionalDouble;

/**
 * A published operating point at rest. SI; voltages to the cathode.
 *
 * @param type the tube type
 * @param plate plate voltage, V
 * @param screen screen voltage, V
 * @param grid control grid, V
 * @param plateAmps plate current, A
 * @param screenAmps screen current, A
 * @param transconductance A/V, where published
 * @param plateResistance ohm, where published
 */
public record StaticPoint(
        String type,
        double plate,
        double screen,
        double grid,
        double plateAmps,
        double screenAmps,
        OptionalDouble transconductance,
        OptionalDouble plateResistance) {}
