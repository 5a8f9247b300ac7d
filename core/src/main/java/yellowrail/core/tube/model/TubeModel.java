package yellowrail.core.tube.model;

import java.util.function.DoubleUnaryOperator;
import yellowrail.core.root.Root;

/**
 * Currents of one tube from its voltages, all to the cathode, SI. A triode takes no notice of a screen voltage and has
 * no screen current. Grid volts are those up to the edge of grid current, 0 V; beyond it a model says nothing.
 */
public sealed interface TubeModel permits PentodeModel, TriodeModel {

    /** Both currents at one set of voltages, A. */
    record Currents(double plate, double screen) {}

    /** Step of the numerical slopes, V. */
    double STEP = 1e-3;

    double BIAS_TOLERANCE = 1e-9;

    /** Both at once: what they have in common is the costly part. */
    Currents currents(double plate, double screen, double grid);

    /** Amplification from the grid to what pulls the current: the screen, in a triode the plate. */
    double mu();

    boolean isTriode();

    /** The same tube with more or less current at every voltage, as tubes of one type differ. */
    TubeModel scaled(double current);

    /** The same tube with another share of screen current; a triode stays what it is. */
    TubeModel withScreen(double factor);

    /** The same tube with another amplification: the cut-off moves. */
    TubeModel withMu(double factor);

    /** The same with every parameter, in the order of the record, times e to the power of these. */
    TubeModel moved(double[] by);

    /** @return plate current, A */
    default double plateCurrent(double plate, double screen, double grid) {
        return currents(plate, screen, grid).plate();
    }

    /** @return screen current, A */
    default double screenCurrent(double plate, double screen, double grid) {
        return currents(plate, screen, grid).screen();
    }

    default double cathodeCurrent(double plate, double screen, double grid) {
        Currents currents = currents(plate, screen, grid);
        return currents.plate() + currents.screen();
    }

    /** @return change of plate current with grid voltage, A/V */
    default double transconductance(double plate, double screen, double grid) {
        return (plateCurrent(plate, screen, grid + STEP) - plateCurrent(plate, screen, grid - STEP)) / (2 * STEP);
    }

    /** @return change of plate voltage with plate current, ohm */
    default double plateResistance(double plate, double screen, double grid) {
        return 2 * STEP / (plateCurrent(plate + STEP, screen, grid) - plateCurrent(plate - STEP, screen, grid));
    }

    /**
     * The grid voltage at which the cathode carries a current; current grows with grid voltage, so there is one.
     *
     * @param cathode wanted, A, &gt; 0
     * @return V, from cut-off up to 0; 0 if even that carries less
     */
    default double gridFor(double cathode, double plate, double screen) {
        return gridWhere(grid -> cathodeCurrent(plate, screen, grid) - cathode, isTriode() ? plate : screen);
    }

    /** The same for a plate current. */
    default double gridForPlate(double plateAmps, double plate, double screen) {
        return gridWhere(grid -> plateCurrent(plate, screen, grid) - plateAmps, isTriode() ? plate : screen);
    }

    private double gridWhere(DoubleUnaryOperator excess, double pull) {
        return Root.between(excess, -3 * pull / mu() - 10, 0, BIAS_TOLERANCE);
    }
}
