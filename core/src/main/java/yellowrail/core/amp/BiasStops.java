package yellowrail.core.amp;

import java.util.Optional;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.root.UnsettledException;

/**
 * What the grids get at both stops of an amp's bias pot. What was read and put on the sheet counts before what is
 * computed of the supply as it is drawn.
 *
 * @param coldest V, negative
 * @param hottest V, negative, less so
 * @param computed of the supply on the bias bench, parts at their marked values
 */
public record BiasStops(double coldest, double hottest, boolean computed) {

    /** Parts of 5 % and a tap of 5 % leave the computed volts so far from those read, as a ratio. */
    public static final double PARTS = 0.10;

    /** Empty with cathode bias, and where neither is known. */
    public static Optional<BiasStops> of(AmpSheet sheet) {
        if (sheet.bias().isCathode()) {
            return Optional.empty();
        }
        return read(sheet.fittings()).or(() -> computed(sheet));
    }

    /** As they stand on the sheet. */
    public static Optional<BiasStops> read(Fittings fittings) {
        return fittings.biasColdest().isPresent() && fittings.biasHottest().isPresent()
                ? Optional.of(new BiasStops(
                        fittings.biasColdest().getAsDouble(),
                        fittings.biasHottest().getAsDouble(),
                        false))
                : Optional.empty();
    }

    /** Of the supply that is kept with the amp, at the sheet's mains; empty where there is none, or no pot. */
    public static Optional<BiasStops> computed(AmpSheet sheet) {
        return sheet.biasSupply()
                .filter(supply -> supply.network().kind().hasPot())
                .flatMap(supply -> {
                    try {
                        return Optional.of(
                                new BiasStops(grid(supply, PotStand.COLDEST), grid(supply, PotStand.HOTTEST), true));
                    } catch (UnsettledException e) {
                        return Optional.empty();
                    }
                });
    }

    private static double grid(BiasSupply supply, PotStand stand) {
        return BiasRange.grid(SteadyStateSolver.solve(supply.circuit(stand, 1)));
    }

    /** What the sheet says and what its supply would give, where that cannot be one and the same. */
    public static Optional<AmpFinding> disagreement(AmpSheet sheet) {
        return read(sheet.fittings())
                .flatMap(read -> computed(sheet)
                        .filter(computed -> !read.isNear(computed))
                        .map(computed -> new AmpFinding.StopsDisagree(
                                read.coldest, read.hottest, computed.coldest, computed.hottest)));
    }

    private boolean isNear(BiasStops other) {
        return Math.abs(coldest - other.coldest) <= PARTS * -other.coldest
                && Math.abs(hottest - other.hottest) <= PARTS * -other.hottest;
    }
}
