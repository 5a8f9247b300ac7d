package yellowrail.core.tube.model;

import java.util.OptionalDouble;

/**
 * An operating point at rest. SI; voltages to the cathode.
 *
 * @param type the tube type
 * @param plate plate voltage, V
 * @param screen screen voltage, V; of a triode the plate’s
 * @param grid control grid, V
 * @param plateAmps plate current, A
 * @param screenAmps screen current, A, where known; a triode has none
 * @param transconductance A/V, where published
 * @param plateResistance ohm, where published
 * @param triode a tube without a screen
 */
public record StaticPoint(
        String type,
        double plate,
        double screen,
        double grid,
        double plateAmps,
        OptionalDouble screenAmps,
        OptionalDouble transconductance,
        OptionalDouble plateResistance,
        boolean triode) {}
