package yellowrail.core.bias.cathode;

import java.util.List;
import yellowrail.core.root.Root;
import yellowrail.core.tube.model.TubeModel;

/**
 * Tubes that share a cathode resistor {@code R}. Plates and screens hang on a supply to ground, so that what the
 * cathodes rise is lost to them: {@code Vk = R sum Ik(Vp - Vk, Vs - Vk, -Vk)}. The left side rises with {@code Vk}, the
 * right side falls, and there is one crossing. The supply is taken to hold.
 *
 * @param tubes the model of each, at least one
 * @param plate plates to ground, V, &gt; 0
 * @param screen screens to ground, V, &gt; 0
 */
public record CathodeGroup(List<TubeModel> tubes, double plate, double screen) {

    /** No cathode stands higher, as a share of the screens' volts. */
    private static final double HIGHEST = 0.6;

    private static final double CLOSE = 1e-7;

    public CathodeGroup {
        tubes = List.copyOf(tubes);
        if (tubes.isEmpty() || !(plate > 0 && screen > 0)) {
            throw new IllegalArgumentException(
                    "tubes on a supply, was %d at %s and %s V".formatted(tubes.size(), plate, screen));
        }
    }

    /** The same tubes with the supply at another mains. */
    public CathodeGroup times(double mains) {
        return new CathodeGroup(tubes, plate * mains, screen * mains);
    }

    /** The same without the first tube: it has lost its emission, or its heater. */
    public CathodeGroup withoutOne() {
        return new CathodeGroup(tubes.subList(1, tubes.size()), plate, screen);
    }

    private double amps(TubeModel tube, double cathode) {
        return tube.cathodeCurrent(plate - cathode, screen - cathode, -cathode);
    }

    /** What all of them draw with their cathodes at so many volts, A. */
    public double amps(double cathode) {
        return tubes.stream().mapToDouble(tube -> amps(tube, cathode)).sum();
    }

    /** Plate dissipation of the first of them with the cathodes at so many volts, W. */
    double burning(double cathode) {
        return (plate - cathode) * tubes.get(0).plateCurrent(plate - cathode, screen - cathode, -cathode);
    }

    /** @param ohms of the resistor, ohm, &gt; 0 */
    public CathodeIdle at(double ohms) {
        double volts = Root.between(cathode -> ohms * amps(cathode) - cathode, 0, HIGHEST * screen, CLOSE);
        return new CathodeIdle(
                ohms,
                volts,
                tubes.stream().map(tube -> amps(tube, volts)).toList(),
                tubes.stream()
                        .map(tube -> (plate - volts) * tube.plateCurrent(plate - volts, screen - volts, -volts))
                        .toList());
    }

    /** The resistor at which they draw so much on average, ohm. */
    public double ohmsFor(double meanAmps) {
        double total = meanAmps * tubes.size();
        double volts = Root.between(cathode -> amps(cathode) - total, 0, HIGHEST * screen, CLOSE);
        return volts / total;
    }
}
