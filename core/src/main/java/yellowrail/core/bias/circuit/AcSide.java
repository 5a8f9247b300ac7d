package yellowrail.core.bias.circuit;

import java.util.List;
import org.hipparchus.analysis.interpolation.AkimaSplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * Winding, rectifier and reservoir of a supply, asked again and again with other networks behind them. What the
 * reservoir settles to depends on the conductance of its load alone; where a cycle has to be stepped through, which
 * takes milliseconds, that is done at 13 loads from 1 M to 100 ohm, and between them it is interpolated over the
 * logarithm of the load: mostly within 0.3 %, at worst 3 %, to draw and to search by. At another mains the volts before
 * the diodes' drop go with it.
 */
public final class AcSide {

    private static final int POINTS = 9;
    private static final int STEPS = 400;
    /** A second capacitor so many times as large takes part in the ripple of the first, and is solved with it. */
    private static final double MUCH_SECOND = 4;

    private static final double LEAST_LOAD = 1e-6;
    private static final double MOST_LOAD = 1e-2;
    /** Of a diode, V. */
    private static final double DROP = 0.6;

    private static final double[][] NO_WAVE = {};

    private final Circuit base;
    private Curve curve;

    /** Volts, straightened, and ripple over the logarithm of the load. */
    private record Curve(PolynomialSplineFunction volts, PolynomialSplineFunction ripple) {}

    public AcSide(Circuit base) {
        this.base = base;
    }

    /** What a circuit settles to: interpolated where it has this side, else solved. */
    public SteadyState with(Circuit circuit) {
        if (!isThis(circuit)
                || circuit.second() > MUCH_SECOND * circuit.reservoir()
                || SteadyStateSolver.isQuick(circuit)) {
            return SteadyStateSolver.solve(circuit);
        }
        Nodes nodes = new Nodes(circuit.legs());
        double load = nodes.load();
        if (!(load >= LEAST_LOAD && load <= MOST_LOAD)) {
            return SteadyStateSolver.solve(circuit);
        }
        double at = Math.log(load);
        double mains = circuit.peak() / base.peak();
        double drop = DROP * diodes();
        double volts = mains * (curve().volts().value(at) / (1 + load / gives()) + drop) - drop;
        double ripple = mains * curve().ripple().value(at);
        return new SteadyState(
                circuit,
                nodes,
                volts,
                volts * nodes.settled(),
                ripple,
                ripple * nodes.settled(),
                volts + ripple / 2,
                0,
                0,
                NO_WAVE,
                0);
    }

    /** What winding and rectifier give like, S. */
    private double gives() {
        return base.coupling().isPresent()
                ? base.hertz() * base.coupling().getAsDouble() * base.ways().size()
                : 1 / (Math.PI * base.acOhms());
    }

    /** In series on the way to the reservoir, and back where that is clamped. */
    private int diodes() {
        Way way = base.ways().get(0);
        return way.ahead().diodes() + (way.back().isFeeding() ? 0 : way.back().diodes());
    }

    private boolean isThis(Circuit circuit) {
        return circuit.sourceOhms() == base.sourceOhms()
                && circuit.seriesOhms() == base.seriesOhms()
                && circuit.coupling().equals(base.coupling())
                && circuit.ways().equals(base.ways())
                && circuit.reservoir() == base.reservoir()
                && circuit.second() == base.second();
    }

    private Curve curve() {
        if (curve == null) {
            double[] loads = new double[POINTS];
            double[] volts = new double[POINTS];
            double[] ripple = new double[POINTS];
            for (int i = 0; i < POINTS; i++) {
                loads[i] = Math.log(LEAST_LOAD) + i * Math.log(MOST_LOAD / LEAST_LOAD) / (POINTS - 1);
                Leg load = new Leg(Part.of(PartKind.LOWER), Circuit.RESERVOIR, Circuit.GROUND, Math.exp(-loads[i]));
                SteadyState state =
                        SteadyStateSolver.solve(base.with(List.of(load)).with(base.reservoir(), 0), STEPS);
                volts[i] = state.reservoir() * (1 + Math.exp(loads[i]) / gives());
                ripple[i] = state.ripple();
            }
            AkimaSplineInterpolator spline = new AkimaSplineInterpolator();
            curve = new Curve(spline.interpolate(loads, volts), spline.interpolate(loads, ripple));
        }
        return curve;
    }
}
