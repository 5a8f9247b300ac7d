package yellowrail.core.bias.circuit;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import yellowrail.core.root.UnsettledException;

/**
 * The steady state where the ripple is large or the coupling capacitive: the state that a cycle gives back unchanged,
 * by Newton's method on {@code after(x) - x}, its derivatives by differences. The circuit is linear between the moments
 * its diodes change over, so the derivatives are kept while each round brings it ten times nearer.
 */
final class SteppedCycle {

    private static final int MOST_ROUNDS = 40;
    private static final int STUCK = 8;
    private static final int PLAIN_CYCLES = 25;
    private static final double CLOSE = 1e-6;
    private static final double NUDGE = 1e-4;
    /** No capacitor stands higher, a doubler's neither, in peaks of the winding. */
    private static final double HIGHEST = 2.2;

    /** A step less than this part of the last keeps the derivatives. */
    private static final double FASTER = 0.1;
    /** Steps of a cycle where every digit counts. */
    static final int FINE = 1000;

    private static final int COARSE = 100;

    private final Circuit circuit;
    private final Nodes nodes;
    private final int steps;
    private final Cycle cycle;

    SteppedCycle(Circuit circuit, Nodes nodes, int steps) {
        this.circuit = circuit;
        this.nodes = nodes;
        this.steps = steps;
        this.cycle = new Cycle(circuit, nodes, steps);
    }

    /**
     * A tenth of the steps leads to where few rounds are left with all of them.
     *
     * @param reservoir where to begin, V
     * @throws UnsettledException if it does not come to rest in 40 rounds
     */
    SteadyState solve(double reservoir) {
        double[] x = new double[cycle.size()];
        x[x.length - 2] = reservoir;
        x[x.length - 1] = reservoir * nodes.settled();
        Settled begin;
        try {
            begin = settle(new Cycle(circuit, nodes, COARSE), x, null);
        } catch (UnsettledException alsoInLargeSteps) {
            begin = new Settled(x, null, 0);
        }
        Settled found = settle(cycle, begin.x, begin.derivatives);
        return told(found.x, begin.rounds + found.rounds);
    }

    /** A state that a cycle gives back, and the derivatives that led there. */
    private record Settled(double[] x, DecompositionSolver derivatives, int rounds) {}

    private Settled settle(Cycle cycle, double[] begin, DecompositionSolver known) {
        double[] x = begin.clone();
        double before = Double.POSITIVE_INFINITY;
        DecompositionSolver derivatives = known;
        for (int round = 1; round <= MOST_ROUNDS; round++) {
            double[] after = cycle.after(x, null);
            if (derivatives == null) {
                derivatives = derivatives(cycle, x, after);
            }
            double largest = move(x, after, derivatives);
            if (largest <= CLOSE * circuit.peak()) {
                return new Settled(x, derivatives, round);
            }
            if (largest > FASTER * before) {
                derivatives = null;
            }
            if (round % STUCK == 0) {
                // It jumps from one side of a kink to the other: some cycles as they come lead away from there.
                for (int i = 0; i < PLAIN_CYCLES; i++) {
                    x = cycle.after(x, null);
                }
                derivatives = null;
            }
            before = largest;
        }
        throw new UnsettledException(MOST_ROUNDS);
    }

    /** @return the largest step of a volt that is remembered */
    private double move(double[] x, double[] after, DecompositionSolver derivatives) {
        double[] left = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            left[i] = x[i] - after[i];
        }
        double[] step = derivatives.solve(new ArrayRealVector(left, false)).toArray();
        double largest = 0;
        double limit = HIGHEST * circuit.peak();
        for (int i = 0; i < x.length; i++) {
            double was = x[i];
            x[i] = Math.max(-limit, Math.min(limit, x[i] + step[i]));
            largest = Math.max(largest, Math.abs(x[i] - was));
        }
        return largest;
    }

    private DecompositionSolver derivatives(Cycle cycle, double[] x, double[] after) {
        double nudge = NUDGE * circuit.peak();
        double[][] jacobian = new double[x.length][x.length];
        for (int j = 0; j < x.length; j++) {
            double[] moved = x.clone();
            moved[j] += nudge;
            double[] then = cycle.after(moved, null);
            for (int i = 0; i < x.length; i++) {
                jacobian[i][j] = (then[i] - after[i]) / nudge - (i == j ? 1 : 0);
            }
        }
        DecompositionSolver solver = new LUDecomposition(new Array2DRowRealMatrix(jacobian, false)).getSolver();
        if (!solver.isNonSingular()) {
            throw new UnsettledException(0);
        }
        return solver;
    }

    private SteadyState told(double[] x, int rounds) {
        Cycle.Trace trace = new Cycle.Trace(steps);
        cycle.after(x, trace);
        return new SteadyState(
                circuit,
                nodes,
                mean(trace.wave[0]),
                mean(trace.wave[1]),
                swing(trace.wave[0]),
                swing(trace.wave[1]),
                most(trace.wave[0]),
                trace.rms(),
                trace.conduction(),
                trace.wave,
                rounds);
    }

    private static double mean(double[] wave) {
        double sum = 0;
        for (double volts : wave) {
            sum += volts;
        }
        return sum / wave.length;
    }

    private static double most(double[] wave) {
        double most = Double.NEGATIVE_INFINITY;
        for (double volts : wave) {
            most = Math.max(most, volts);
        }
        return most;
    }

    static double swing(double[] wave) {
        double least = Double.POSITIVE_INFINITY;
        for (double volts : wave) {
            least = Math.min(least, volts);
        }
        return most(wave) - least;
    }
}
