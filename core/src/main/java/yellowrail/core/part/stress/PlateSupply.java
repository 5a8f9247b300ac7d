package yellowrail.core.part.stress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * An amp's plate supply as far as it can be known: fitted through what was read, with customary values for what is not
 * on its sheet.
 *
 * @param fitted empty where the winding does not make what was read
 * @param says what was taken, or what does not fit
 */
public record PlateSupply(Optional<RectifiedSupply> fitted, List<PartRemark> says) {

    private static final double USUAL_FARADS = 47e-6;
    /** What a loaded reservoir usually stands at over its winding's volts. */
    private static final double USUAL_RATIO = 1.25;

    /**
     * @param winding V RMS; empty where it is not known
     * @param farads of the reservoir; empty likewise
     * @param volts it stands at, V
     * @param amps drawn meanwhile, A
     */
    public static PlateSupply of(
            OptionalDouble winding, OptionalDouble farads, double hertz, double volts, double amps) {
        List<PartRemark> says = new ArrayList<>();
        double taken = winding.orElse(volts / USUAL_RATIO);
        double reservoir = farads.orElse(USUAL_FARADS);
        if (winding.isEmpty()) {
            says.add(new PartRemark.WindingTaken(taken));
        }
        if (farads.isEmpty()) {
            says.add(new PartRemark.ReservoirTaken(reservoir));
        }
        Optional<RectifiedSupply> fitted = RectifiedSupply.through(taken, hertz, reservoir, volts, amps);
        if (fitted.isEmpty()) {
            says.add(new PartRemark.WindingDoesNotFit(taken, volts));
        }
        return new PlateSupply(fitted, List.copyOf(says));
    }
}
