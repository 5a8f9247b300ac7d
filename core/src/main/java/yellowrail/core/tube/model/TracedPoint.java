package yellowrail.core.tube.model;

import java.util.OptionalDouble;

/**
 * A point of one tube’s curves as it was read. SI; voltages to the cathode.
 *
 * @param plate V
 * @param screen V; empty where the tube has none or it was tied to the plate
 * @param grid control grid, V
 * @param amps of the plate, and of the screen that is tied to it, A
 * @param screenAmps of a screen by itself, A, where it was read
 */
public record TracedPoint(double plate, OptionalDouble screen, double grid, double amps, OptionalDouble screenAmps) {

    /** What pulls at the cathode, V: the screen, without one the plate. */
    public double pull() {
        return screen.orElse(plate);
    }

    /** What a tube draws there, A. */
    public double by(TubeModel model) {
        return screen.isPresent() ? model.plateCurrent(plate, pull(), grid) : model.cathodeCurrent(plate, plate, grid);
    }

    /** W, at the plate and what is tied to it. */
    public double watts() {
        return plate * amps;
    }
}
