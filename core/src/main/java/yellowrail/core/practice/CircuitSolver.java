package yellowrail.core.practice;

import java.util.function.DoubleUnaryOperator;
import yellowrail.core.root.Root;

/**
 * Finds the idle of a simulated stage: the plate voltage at which the supply gives just the current that the tubes draw
 * there, and with cathode bias the cathode voltage at which the resistor drops it. Both balances fall with their
 * unknown, so there is one crossing, or none where the tubes draw nothing.
 */
public final class CircuitSolver {

    private static final double CONVERGED = 1e-9;

    private final Circuit circuit;

    public CircuitSolver(Circuit circuit) {
        this.circuit = circuit;
    }

    /**
     * @param pots where each pot stands, 0 fully anticlockwise to 1 fully clockwise
     * @param mains over the reference
     * @param emission of each tube: 0 cold or dead, 1 warm, more if it has crept
     */
    public OperatingPoint solve(double[] pots, double mains, double[] emission) {
        return solve(pots, mains, emission, 0);
    }

    /** @param warm how long the amp has been on, s */
    OperatingPoint solve(double[] pots, double mains, double[] emission, double warm) {
        double[] grids = grids(pots, mains, warm);
        double highest = circuit.supply().volts(circuit.supply().otherAmps(), mains);
        double plate = root(
                volts -> circuit.supply().volts(circuit.supply().otherAmps() + drawn(volts, grids, emission), mains)
                        - volts,
                1,
                highest);
        return at(plate, grids, emission);
    }

    private double drawn(double plate, double[] grids, double[] emission) {
        OperatingPoint point = at(plate, grids, emission);
        double sum = 0;
        for (int i = 0; i < point.tubes(); i++) {
            sum += point.cathodeAmps(i);
        }
        return sum;
    }

    /** Currents at a plate voltage; the screens stand below it by what their resistor drops, found by two turns. */
    private OperatingPoint at(double plate, double[] grids, double[] emission) {
        double screen = plate;
        OperatingPoint point = null;
        for (int turn = 0; turn < 3; turn++) {
            double screenVolts = screen;
            double lift = circuit.lifted()
                    ? root(
                            volts -> sum(currents(plate, screenVolts, grids, emission, volts))
                                            * circuit.senseOhms()
                                            * circuit.sharedBy()
                                            / emission.length
                                    - volts,
                            0,
                            0.4 * plate)
                    : 0;
            point = currents(plate, screenVolts, grids, emission, lift);
            double through = circuit.supply().otherAmps();
            for (double amps : point.screenAmps()) {
                through += amps;
            }
            screen = Math.max(1, plate - circuit.supply().screenOhms() * through);
        }
        return point;
    }

    private OperatingPoint currents(double plate, double screen, double[] grids, double[] emission, double lift) {
        int n = circuit.tubes().size();
        double[] plates = new double[n];
        double[] screens = new double[n];
        double[] cathodes = new double[n];
        for (int i = 0; i < n; i++) {
            Circuit.Tube tube = circuit.tubes().get(i);
            double grid = grids[i] - lift;
            plates[i] = emission[i] * tube.model().plateCurrent(plate - lift, screen - lift, grid);
            screens[i] = emission[i] * tube.model().screenCurrent(plate - lift, screen - lift, grid);
            cathodes[i] = circuit.lifted() ? lift : (plates[i] + screens[i]) * circuit.senseOhms();
        }
        return new OperatingPoint(plate, screen, grids, cathodes, plates, screens);
    }

    private static double sum(OperatingPoint point) {
        double sum = 0;
        for (int i = 0; i < point.tubes(); i++) {
            sum += point.cathodeAmps(i);
        }
        return sum;
    }

    /** Grid volts to ground: the bias follows the mains, a leaking capacitor does not. */
    private double[] grids(double[] pots, double mains, double warm) {
        double range = 0;
        double balance = 0;
        boolean ranged = false;
        for (int i = 0; i < circuit.bias().pots().size(); i++) {
            Circuit.Pot pot = circuit.bias().pots().get(i);
            double turned = pot.clockwiseIsHotter() ? pots[i] : 1 - pots[i];
            switch (pot.action()) {
                case RANGE -> {
                    range = turned;
                    ranged = true;
                }
                case BALANCE -> balance = turned - 0.5;
                case NOTHING -> {}
            }
        }
        double middle = circuit.bias().at(ranged ? range : 0.35);
        double[] grids = new double[circuit.tubes().size()];
        for (int i = 0; i < grids.length; i++) {
            Circuit.Tube tube = circuit.tubes().get(i);
            double swing = balance * (circuit.bias().hot() - circuit.bias().cold()) * (tube.push() ? 1 : -1);
            double leak = tube.leak().volts(warm);
            grids[i] = circuit.lifted() ? leak : (middle + swing) * mains + leak;
        }
        return grids;
    }

    private static double root(DoubleUnaryOperator balance, double from, double to) {
        return Root.between(balance, from, to, CONVERGED);
    }
}
