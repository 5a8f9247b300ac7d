package yellowrail.core.bias.circuit;

import yellowrail.core.root.Root;

/**
 * The steady state where the reservoir hardly moves: over a cycle the charge that comes through the series resistor
 * while the winding exceeds the reservoir equals the charge that the network drains, {@code p Vp/(pi R) (sqrt(1-u^2) -
 * u acos u) = G V}, {@code u = (V + Vd)/Vp}, {@code p} pulses a cycle, the diodes' drop {@code Vd} that of the mean
 * current while they conduct. Within 0.2 % of a stepped cycle for a ripple under 5 %.
 */
final class ConductionBalance {

    private static final double CLOSE = 1e-9;
    private static final double[][] NO_WAVE = {};

    private final Circuit circuit;
    private final Nodes nodes;
    private final int pulses;
    private final int diodes;
    private final double scale;

    ConductionBalance(Circuit circuit, Nodes nodes) {
        this.circuit = circuit;
        this.nodes = nodes;
        this.pulses = (int) circuit.ways().stream()
                .mapToLong(
                        way -> (way.ahead().isFeeding() ? 1 : 0) + (way.back().isFeeding() ? 1 : 0))
                .sum();
        this.diodes = circuit.ways().stream()
                .map(way -> way.ahead().isFeeding() ? way.ahead() : way.back())
                .mapToInt(Path::diodes)
                .max()
                .orElse(0);
        this.scale = circuit.peak() / (Math.PI * circuit.acOhms());
    }

    SteadyState solve() {
        double peak = circuit.peak();
        double total =
                Root.between(volts -> charged(volts) - nodes.load() * (volts - drop(volts)), 0, peak, CLOSE * peak);
        double volts = Math.max(0, total - drop(total));
        double amps = nodes.load() * volts;
        double ripple = ripple(total + amps * circuit.acOhms());
        double passed = ripple * passed();
        double supply = volts * nodes.settled();
        return new SteadyState(
                circuit,
                nodes,
                volts,
                supply,
                ripple,
                passed,
                volts + ripple / 2,
                rms(total),
                2 * angle(total),
                NO_WAVE,
                1);
    }

    /** Half the conduction angle where the winding has to overcome so many volts. */
    private double angle(double volts) {
        return Math.acos(Math.min(1, Math.max(-1, volts / circuit.peak())));
    }

    /** {@code sqrt(1-u^2) - u acos u}: the area of a pulse. */
    private double area(double volts) {
        double u = Math.min(1, volts / circuit.peak());
        return Math.sqrt(1 - u * u) - u * Math.acos(u);
    }

    /** Mean current into the reservoir, A. */
    private double charged(double volts) {
        return pulses * scale * area(volts);
    }

    private double drop(double volts) {
        double angle = 2 * angle(volts);
        return angle > 0 ? diodes * Diode.drop(charged(volts) * 2 * Math.PI / (pulses * angle)) : 0;
    }

    /** The charge of a pulse above the mean current lifts the reservoir, the rest of the cycle lets it fall. */
    private double ripple(double above) {
        double charge = 2 * circuit.peak() / (2 * Math.PI * circuit.hertz() * circuit.acOhms()) * area(above);
        return charge / circuit.reservoir();
    }

    /** How much of the ripple's fundamental passes the feed resistor. */
    private double passed() {
        double[][] siemens = nodes.conductance();
        double reactive = 2 * Math.PI * circuit.hertz() * pulses * circuit.second();
        return Math.abs(siemens[1][0]) / Math.hypot(siemens[1][1], reactive);
    }

    private double rms(double volts) {
        double a = angle(volts);
        double peak = circuit.peak();
        double squares =
                peak * peak * (a + Math.sin(a) * Math.cos(a)) - 4 * peak * volts * Math.sin(a) + 2 * volts * volts * a;
        return Math.sqrt(Math.max(0, pulses * squares / (2 * Math.PI))) / circuit.acOhms();
    }
}
