package yellowrail.core.bias.wiring;

import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.Circuit;

/**
 * A bias supply as it is soldered.
 *
 * @param source winding and rectifier
 * @param smoothing resistors and capacitors of the supply
 * @param network what divides it for the grids
 * @param leak resistor from the network to the grids, ohm; 0 where that is not known. It carries no current: a grid
 *     takes none
 * @param meter resistance of a meter that hangs on the first grid, ohm
 */
public record BiasSupply(
        BiasSource source, Smoothing smoothing, BiasNetwork network, double leak, OptionalDouble meter) {

    /** Its circuit with the pots standing somewhere, at a mains over the sheet's. */
    public Circuit circuit(PotStand stand, double mains) {
        return new Wiring(this, stand, mains).circuit();
    }

    public BiasSupply with(BiasSource other) {
        return new BiasSupply(other, smoothing, network, leak, meter);
    }

    public BiasSupply with(Smoothing other) {
        return new BiasSupply(source, other, network, leak, meter);
    }

    public BiasSupply with(BiasNetwork other) {
        return new BiasSupply(source, smoothing, other, leak, meter);
    }
}
