package yellowrail.core.bias.wiring;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.PartKind;

/**
 * A bias supply as it is soldered.
 *
 * @param source winding and rectifier
 * @param smoothing resistors and capacitors of the supply
 * @param network what divides it for the grids
 * @param leak resistor from the network to the grids, ohm; 0 where that is not known. It carries no current: a grid
 *     takes none
 * @param meter resistance of a meter that hangs on the first grid, ohm
 * @param rated what its resistors and pots are rated for, W, as far as that is known; of several alike it is that of
 *     each
 */
public record BiasSupply(
        BiasSource source,
        Smoothing smoothing,
        BiasNetwork network,
        double leak,
        OptionalDouble meter,
        Map<PartKind, Double> rated) {

    /** The parts whose rating matters. */
    public static final List<PartKind> RATED =
            List.of(PartKind.SERIES, PartKind.FEED, PartKind.UPPER, PartKind.POT, PartKind.LOWER, PartKind.BALANCE);

    private static final double MIDDLE = 0.5;

    public BiasSupply {
        rated = Map.copyOf(rated);
    }

    /** One whose resistors nobody has looked at. */
    public BiasSupply(BiasSource source, Smoothing smoothing, BiasNetwork network, double leak, OptionalDouble meter) {
        this(source, smoothing, network, leak, meter, Map.of());
    }

    /** Its circuit with the pots standing somewhere, at a mains over the sheet's. */
    public Circuit circuit(PotStand stand, double mains) {
        return new Wiring(this, stand, mains).circuit();
    }

    public BiasSupply with(BiasSource other) {
        return new BiasSupply(other, smoothing, network, leak, meter, rated);
    }

    public BiasSupply with(Smoothing other) {
        return new BiasSupply(source, other, network, leak, meter, rated);
    }

    public BiasSupply with(BiasNetwork other) {
        return new BiasSupply(source, smoothing, other, leak, meter, rated);
    }

    /** Whether the same parts are joined the same way, whatever they are rated for and with or without a meter. */
    public boolean isWiredAs(BiasSupply other) {
        return wired().equals(other.wired());
    }

    private Circuit wired() {
        return new BiasSupply(source, smoothing, network, leak, OptionalDouble.empty()).circuit(PotStand.at(MIDDLE), 1);
    }

    public BiasSupply rated(Map<PartKind, Double> others) {
        return new BiasSupply(source, smoothing, network, leak, meter, others);
    }

    /** Where parts are exchanged, what they were rated for no longer counts. */
    public BiasSupply exchanged(Set<PartKind> parts) {
        return rated(rated.entrySet().stream()
                .filter(each -> !parts.contains(each.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
    }
}
