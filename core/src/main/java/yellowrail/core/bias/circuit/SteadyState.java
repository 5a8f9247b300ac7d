package yellowrail.core.bias.circuit;

/**
 * What a circuit settles to. Volts are magnitudes.
 *
 * @param circuit what was solved
 * @param nodes its resistances
 * @param reservoir mean, V
 * @param supply mean behind the feed resistor, V
 * @param ripple of the reservoir, peak to peak, V
 * @param supplyRipple behind the feed resistor, peak to peak, V
 * @param most of the reservoir within a cycle, V
 * @param rmsAmps through the series resistor, A
 * @param conduction how long a pulse of current lasts, radians of the mains' cycle
 * @param wave volts of reservoir and supply through a cycle; empty where the ripple is too small to matter
 * @param rounds that it took
 */
public record SteadyState(
        Circuit circuit,
        Nodes nodes,
        double reservoir,
        double supply,
        double ripple,
        double supplyRipple,
        double most,
        double rmsAmps,
        double conduction,
        double[][] wave,
        int rounds) {

    /** Mean volts of a node, V. */
    public double volts(String node) {
        return nodes.volts(node, reservoir, supply);
    }

    /** Volts of a node through a cycle, V; one value where they hardly change. */
    public double[] wave(String node) {
        if (!isStepped()) {
            return new double[] {volts(node)};
        }
        double[] volts = new double[wave[0].length];
        for (int i = 0; i < volts.length; i++) {
            volts[i] = nodes.volts(node, wave[0][i], wave[1][i]);
        }
        return volts;
    }

    /** Peak to peak at a node, V. */
    public double ripple(String node) {
        if (!isStepped()) {
            return Math.abs(nodes.volts(node, ripple, 0)) + Math.abs(nodes.volts(node, 0, supplyRipple));
        }
        double least = Double.POSITIVE_INFINITY;
        double greatest = Double.NEGATIVE_INFINITY;
        for (double volts : wave(node)) {
            least = Math.min(least, volts);
            greatest = Math.max(greatest, volts);
        }
        return greatest - least;
    }

    /** Whether a cycle was stepped through. */
    public boolean isStepped() {
        return wave.length > 0;
    }

    /** Mean current out of the reservoir, A. */
    public double amps() {
        return nodes.conductance()[0][0] * reservoir + nodes.conductance()[0][1] * supply;
    }

    /** What a resistance burns, W. */
    public double watts(Leg leg) {
        double[] from = wave(leg.from());
        double[] to = wave(leg.to());
        double sum = 0;
        for (int i = 0; i < from.length; i++) {
            double across = from[i] - to[i];
            sum += across * across / leg.ohms();
        }
        return sum / from.length;
    }

    /** What the resistor on the AC side burns, W. */
    public double seriesWatts() {
        return rmsAmps * rmsAmps * circuit.seriesOhms();
    }
}
