package yellowrail.core.tube.model;

import java.util.stream.DoubleStream;

/**
 * Plate current of a triode from its voltages, all to the cathode; of a directly heated one to the middle of its
 * filament.
 *
 * <pre>
 * E1 = (Va / KP) ln(1 + exp(KP (1/MU + Vg / sqrt(KVB + Va^2))))
 * Ia = 2 E1^EX / KG1
 * </pre>
 *
 * Source: a triode form published in 1996 beside the one that {@link PentodeModel} builds on. Valid for {@code Va > 0}
 * and {@code Vg <= 0}; nothing flows at or below 0 V on the plate.
 *
 * @param mu amplification from grid to plate, well above cut-off
 * @param ex exponent of the space-charge law, near 1.4
 * @param kg1 inverse perveance, V^EX/A
 * @param kp sharpness of the cut-off
 * @param kvb how the grid\u2019s hold weakens at low plate voltages, V^2
 */
public record TriodeModel(double mu, double ex, double kg1, double kp, double kvb) implements TubeModel {

    public TriodeModel {
        for (double parameter : new double[] {mu, ex, kg1, kp, kvb}) {
            if (!(parameter > 0 && Double.isFinite(parameter))) {
                throw new IllegalArgumentException("tube model parameters must be more than 0, was " + parameter);
            }
        }
    }

    @Override
    public Currents currents(double plate, double screen, double grid) {
        return new Currents(plateCurrent(plate, screen, grid), 0);
    }

    @Override
    public double plateCurrent(double plate, double screen, double grid) {
        if (plate <= 0) {
            return 0;
        }
        double x = kp * (1 / mu + grid / Math.sqrt(kvb + plate * plate));
        double e1 = plate / kp * (x > 30 ? x : Math.log1p(Math.exp(x)));
        return 2 * Math.pow(e1, ex) / kg1;
    }

    @Override
    public boolean isTriode() {
        return true;
    }

    @Override
    public TriodeModel scaled(double current) {
        return new TriodeModel(mu, ex, kg1 / current, kp, kvb);
    }

    @Override
    public TriodeModel withScreen(double factor) {
        return this;
    }

    @Override
    public TriodeModel moved(double[] by) {
        double[] e = DoubleStream.of(by).map(Math::exp).toArray();
        return new TriodeModel(mu * e[0], ex * e[1], kg1 * e[2], kp * e[3], kvb * e[4]);
    }

    @Override
    public TriodeModel withMu(double factor) {
        return new TriodeModel(mu * factor, ex, kg1, kp, kvb);
    }
}
