package yellowrail.core.bias.cathode;

import java.util.List;

/**
 * Tubes at rest on a cathode resistor.
 *
 * @param ohms the resistor, ohm
 * @param cathodeVolts cathodes to ground, V
 * @param amps cathode current of each tube, A
 * @param watts plate dissipation of each tube, W
 */
public record CathodeIdle(double ohms, double cathodeVolts, List<Double> amps, List<Double> watts) {

    public CathodeIdle {
        amps = List.copyOf(amps);
        watts = List.copyOf(watts);
    }

    /** What the resistor burns, W. */
    public double resistorWatts() {
        return cathodeVolts * cathodeVolts / ohms;
    }

    public double meanAmps() {
        return amps.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    }

    /** Plate dissipation of the hottest tube, W. */
    public double hottestWatts() {
        return watts.stream().mapToDouble(Double::doubleValue).max().orElse(0);
    }
}
