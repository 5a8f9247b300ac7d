package yellowrail.core.bias.need;

import java.util.Optional;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModel;

/**
 * What the grids of a tube need at an amp's voltages, to the cathode. By the type's model alone a need is known to its
 * {@linkplain KnownModel#biasSpread() spread}, which is also how far tubes of a type scatter; made to pass through a
 * reading, to 0.5 V and a tenth of what is still to be moved.
 *
 * @param type what tube
 * @param model its currents
 * @param plate plate volts, V
 * @param screen screen volts, V
 * @param amps cathode current it is to idle at, A
 * @param rated plate dissipation it is rated for, W
 * @param spread how far other tubes of the type lie off, V
 * @param read the grid volts that were read; empty where it is told from the type alone
 */
public record GridNeed(
        String type,
        TubeModel model,
        double plate,
        double screen,
        double amps,
        double rated,
        double spread,
        Optional<Read> read) {

    private static final double READ_SPREAD = 0.5;
    private static final double OF_THE_MOVE = 0.1;

    /** A grid voltage to the cathode, V, and the cathode current it gave, A. */
    public record Read(double grid, double amps) {}

    /** @param read what was read last, at these voltages */
    public static GridNeed of(
            KnownModel known, double plate, double screen, double amps, double rated, Optional<Read> read) {
        TubeModel model = read.filter(pair -> pair.amps() > 0)
                .map(pair ->
                        known.model().scaled(pair.amps() / known.model().cathodeCurrent(plate, screen, pair.grid())))
                .orElse(known.model());
        return new GridNeed(known.type(), model, plate, screen, amps, rated, known.biasSpread(), read);
    }

    /** The volts it needs, V, negative. */
    public double volts() {
        return model.gridFor(amps, plate, screen);
    }

    /** How far that may lie off, V. */
    public double plusMinus() {
        return read.map(pair -> READ_SPREAD + OF_THE_MOVE * Math.abs(pair.grid() - volts()))
                .orElse(spread);
    }

    /** What the strongest tube of the type needs, V, negative. */
    public double coldest() {
        return volts() - spread;
    }

    /** What the weakest needs, V, negative. */
    public double hottest() {
        return Math.min(0, volts() + spread);
    }

    /** Mean cathode current where the grid swings so, A; the supply of the plates is taken to hold. */
    public double amps(double[] grid) {
        double sum = 0;
        for (double volts : grid) {
            sum += model.cathodeCurrent(plate, screen, Math.min(0, volts));
        }
        return sum / grid.length;
    }

    /** Mean plate dissipation where the grid swings so, W. */
    public double watts(double[] grid) {
        double sum = 0;
        for (double volts : grid) {
            sum += plate * model.plateCurrent(plate, screen, Math.min(0, volts));
        }
        return sum / grid.length;
    }

    public double watts(double grid) {
        return watts(new double[] {grid});
    }

    /** What a ripple on its grid, peak to peak, makes of its plate current, A peak to peak. */
    public double hum(double ripple) {
        return ripple * model.transconductance(plate, screen, volts());
    }

    /** The least negative grid volts at which the plate stays within its rating, V. */
    public double hottestAllowed() {
        double most = rated / plate;
        return model.plateCurrent(plate, screen, 0) <= most ? 0 : model.gridForPlate(most, plate, screen);
    }
}
