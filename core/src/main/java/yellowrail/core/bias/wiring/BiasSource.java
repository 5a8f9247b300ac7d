package yellowrail.core.bias.wiring;

import java.util.OptionalDouble;

/**
 * Where the bias comes from.
 *
 * @param volts of the winding, of the tap, or of each half, V RMS at the sheet's mains, &gt; 0
 * @param ohms of the winding itself, ohm, &ge; 0
 * @param hertz of the mains
 * @param rectification how it is rectified
 * @param coupling capacitor that couples the winding, F; empty where it is joined
 */
public record BiasSource(
        double volts, double ohms, double hertz, Rectification rectification, OptionalDouble coupling) {}
