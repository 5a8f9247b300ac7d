package yellowrail.core.tube.model;

import java.util.stream.DoubleStream;

/**
 * Currents of a pentode or beam tube from its voltages, all to the cathode.
 *
 * <pre>
 * E1  = (Vg2 / KP) ln(1 + exp(KP (1/MU + Vg1/Vg2)))
 * Ia  = (2 E1^EX / KG1) atan(Va / KVB) (1 + Va/VA)
 * Ig2 = E1^EX / KG2 + F (2 E1^EX / KG1) (pi/2 - atan(Va / KVB))
 * </pre>
 *
 * Source: a pentode form published in 1996, extended by the factor {@code 1 + Va/VA}, without which knee and plate
 * resistance cannot both be right, and by a screen current that follows the plate's, since the published screen formula
 * gives none at a class-AB idle. Valid for {@code Va, Vg2 > 0} and {@code Vg1 <= 0}; beyond the grid-current edge it
 * says nothing. One type's tubes scatter around it by more than its own error.
 *
 * @param mu amplification from grid to screen
 * @param ex exponent of the space-charge law, near 1.4
 * @param kg1 inverse perveance of the plate, V^EX/A
 * @param kp sharpness of the cut-off
 * @param kvb knee, V
 * @param early plate voltage that would double the saturated current, V (VA above)
 * @param kg2 inverse perveance of the screen, V^EX/A
 * @param f part of what the plate does not take below the knee that goes to the screen
 */
public record PentodeModel(double mu, double ex, double kg1, double kp, double kvb, double early, double kg2, double f)
        implements TubeModel {

    public PentodeModel {
        for (double parameter : new double[] {mu, ex, kg1, kp, kvb, early, kg2}) {
            if (!(parameter > 0 && Double.isFinite(parameter))) {
                throw new IllegalArgumentException("tube model parameters must be more than 0, was " + parameter);
            }
        }
    }

    /** E1 raised to EX: what both currents are proportional to. */
    private double drive(double screen, double grid) {
        double x = kp * (1 / mu + grid / screen);
        double e1 = screen / kp * (x > 30 ? x : Math.log1p(Math.exp(x)));
        return Math.pow(e1, ex);
    }

    @Override
    public Currents currents(double plate, double screen, double grid) {
        if (screen <= 0) {
            return new Currents(0, 0);
        }
        double drive = drive(screen, grid);
        double arc = Math.atan(Math.max(0, plate) / kvb);
        return new Currents(
                plate <= 0 ? 0 : 2 * drive / kg1 * arc * (1 + plate / early),
                drive / kg2 + f * 2 * drive / kg1 * (Math.PI / 2 - arc));
    }

    @Override
    public boolean isTriode() {
        return false;
    }

    @Override
    public PentodeModel scaled(double current) {
        return new PentodeModel(mu, ex, kg1 / current, kp, kvb, early, kg2 / current, f);
    }

    @Override
    public PentodeModel withScreen(double factor) {
        return new PentodeModel(mu, ex, kg1, kp, kvb, early, kg2 / factor, f * factor);
    }

    @Override
    public PentodeModel moved(double[] by) {
        double[] e = DoubleStream.of(by).map(Math::exp).toArray();
        return new PentodeModel(
                mu * e[0], ex * e[1], kg1 * e[2], kp * e[3], kvb * e[4], early * e[5], kg2 * e[6], f * e[7]);
    }

    @Override
    public PentodeModel withMu(double factor) {
        return new PentodeModel(mu * factor, ex, kg1, kp, kvb, early, kg2, f);
    }
}
