package yellowrail.core.part.stress;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.Leg;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.circuit.Way;
import yellowrail.core.root.Root;

/**
 * The plate supply's winding, rectifier and reservoir, rectifying both halves of the cycle. All that stands between
 * winding and reservoir (both windings' copper, the rectifier) is one resistance: the one with which the reservoir
 * stands at what was read while so much was drawn. The charging pulses follow, and with them the reservoir's ripple
 * current {@code sqrt(Irms^2 - Idc^2)}. Not for a choke before the first capacitor.
 *
 * @param windingVolts of the whole winding with a bridge, of each half with a centre tap, V RMS
 * @param hertz of the mains
 * @param farads of the reservoir, F
 * @param ohms before it, as fitted, ohm
 */
public record RectifiedSupply(double windingVolts, double hertz, double farads, double ohms) {

    private static final double LEAST_OHMS = 0.5;
    private static final double MOST_OHMS = 5000;
    private static final double CLOSE = 1e-4;
    private static final int ROUNDS = 30;
    private static final double SETTLED = 1e-6;

    /** @return the one that fits; empty where even without any resistance the winding does not make those volts */
    public static Optional<RectifiedSupply> through(
            double windingVolts, double hertz, double farads, double volts, double amps) {
        RectifiedSupply stiff = new RectifiedSupply(windingVolts, hertz, farads, LEAST_OHMS);
        if (stiff.at(volts / amps).reservoir() < volts) {
            return Optional.empty();
        }
        double fitted = Root.between(
                ohms -> new RectifiedSupply(windingVolts, hertz, farads, ohms)
                                .at(volts / amps)
                                .reservoir()
                        - volts,
                LEAST_OHMS,
                MOST_OHMS,
                CLOSE);
        return Optional.of(new RectifiedSupply(windingVolts, hertz, farads, fitted));
    }

    /** @param load on the reservoir, ohm */
    private SteadyState at(double load) {
        return SteadyStateSolver.solve(new Circuit(
                Math.sqrt(2) * windingVolts,
                hertz,
                ohms,
                0,
                OptionalDouble.empty(),
                List.of(Way.bridge()),
                farads,
                0,
                List.of(new Leg(Part.of(PartKind.LOWER), Circuit.RESERVOIR, Circuit.GROUND, load)),
                List.of(Circuit.RESERVOIR)));
    }

    /** What settles while so much is drawn, A. */
    public Drawn drawing(double amps) {
        double volts = Math.sqrt(2) * windingVolts;
        SteadyState state = at(volts / amps);
        for (int i = 0; i < ROUNDS && Math.abs(state.reservoir() - volts) > SETTLED * volts; i++) {
            volts = state.reservoir();
            state = at(volts / amps);
        }
        return new Drawn(state.reservoir(), state.ripple(), amps, state.rmsAmps());
    }

    /**
     * A supply that is drawn from.
     *
     * @param volts mean of the reservoir, V
     * @param ripple of the reservoir, peak to peak, V
     * @param amps drawn, A
     * @param rmsAmps through the rectifier, A
     */
    public record Drawn(double volts, double ripple, double amps, double rmsAmps) {

        /** RMS current of the reservoir, A. */
        public double rippleAmps() {
            return Math.sqrt(Math.max(0, rmsAmps * rmsAmps - amps * amps));
        }
    }

    /** What the mains give for what is drawn, as volts times amperes RMS. */
    public double voltAmperes(Drawn drawn) {
        return windingVolts * drawn.rmsAmps();
    }
}
