package yellowrail.core.tube.model;

import java.util.List;
import java.util.Optional;

/**
 * One tube beside its type: how much more current it draws and how much more it amplifies, by what was read of it. What
 * tubes of a type scatter stands as a reading of its own, so that one reading moves only what it tells of, and what no
 * reading tells stays as uncertain as it is of any tube of the type.
 *
 * @param current its current over the type\u2019s, at every voltage
 * @param currentPlusMinus of that, at about 95 %
 * @param mu its amplification over the type\u2019s: where it cuts off
 * @param muPlusMinus the same
 * @param readings that it rests on
 */
public record OwnTube(double current, double currentPlusMinus, double mu, double muPlusMinus, int readings) {

    /** Standard deviations of tubes of one type, as logarithms. */
    private static final double CURRENT_SCATTERS = 0.20;

    private static final double MU_SCATTERS = 0.06;

    private static final double STEP = 1e-4;
    private static final int ROUNDS = 25;
    private static final double ENOUGH = 1e-9;
    private static final double MOST_STEP = 0.3;

    /** What was read of a tube. */
    public enum What {
        CATHODE_CURRENT,
        PLATE_CURRENT,
        TRANSCONDUCTANCE
    }

    /**
     * A reading, SI; voltages to the cathode.
     *
     * @param value A or A/V
     * @param error of it, as a ratio, at about 95 %
     * @param gridError of the grid volts, V, which near cut-off is most of it
     */
    public record Reading(
            double plate, double screen, double grid, What what, double value, double error, double gridError) {

        private double by(TubeModel model) {
            return switch (what) {
                case CATHODE_CURRENT -> model.cathodeCurrent(plate, screen, grid);
                case PLATE_CURRENT -> model.plateCurrent(plate, screen, grid);
                case TRANSCONDUCTANCE -> model.transconductance(plate, screen, grid);
            };
        }

        /** Of the current, with what the grid\u2019s error makes of it, as a ratio. */
        private double wholeError(TubeModel model) {
            Reading up = new Reading(plate, screen, Math.min(0, grid + gridError), what, value, error, 0);
            Reading down = new Reading(plate, screen, grid - gridError, what, value, error, 0);
            return Math.hypot(error, Math.log(up.by(model) / down.by(model)) / 2);
        }

        private boolean tells(TubeModel model) {
            return value > 0
                    && plate > 0
                    && screen > 0
                    && grid <= 0
                    && by(model) > 0
                    && Double.isFinite(wholeError(model));
        }
    }

    /** @return empty where no reading can be used */
    public static Optional<OwnTube> of(TubeModel type, List<Reading> readings) {
        List<Reading> used =
                readings.stream().filter(reading -> reading.tells(type)).toList();
        if (used.isEmpty()) {
            return Optional.empty();
        }
        double current = 0;
        double mu = 0;
        Normal normal = new Normal(type, used, current, mu);
        for (int round = 0; round < ROUNDS; round++) {
            double[] step = normal.step();
            current += step[0];
            mu += step[1];
            normal = new Normal(type, used, current, mu);
            if (Math.abs(step[0]) + Math.abs(step[1]) < ENOUGH) {
                break;
            }
        }
        double here = Math.exp(current);
        double there = Math.exp(mu);
        return Optional.of(
                new OwnTube(here, 2 * here * normal.currentError(), there, 2 * there * normal.muError(), used.size()));
    }

    /** Whether it lies within what 19 of 20 tubes of a type do. */
    public boolean isUsual() {
        return Math.abs(Math.log(current)) <= 2 * CURRENT_SCATTERS && Math.abs(Math.log(mu)) <= 2 * MU_SCATTERS;
    }

    /** How much of what is not known of any tube of the type is still not known of this one. */
    double unsure() {
        return currentPlusMinus / current / (2 * CURRENT_SCATTERS);
    }

    /** The type made into this tube. */
    public TubeModel of(TubeModel type) {
        return type.withMu(mu).scaled(current);
    }

    /** Normal equations of the two logarithms at a place: readings and scatter of the type, each by its weight. */
    private static final class Normal {

        private double currentTwice = 1 / (CURRENT_SCATTERS * CURRENT_SCATTERS);
        private double muTwice = 1 / (MU_SCATTERS * MU_SCATTERS);
        private double both;
        private double currentOff;
        private double muOff;

        Normal(TubeModel type, List<Reading> readings, double current, double mu) {
            currentOff = -current * currentTwice;
            muOff = -mu * muTwice;
            for (Reading reading : readings) {
                double off = Math.log(reading.value()) - at(type, reading, current, mu);
                double slope =
                        (at(type, reading, current, mu + STEP) - at(type, reading, current, mu - STEP)) / (2 * STEP);
                double weight = Math.pow(2 / reading.wholeError(type), 2);
                currentTwice += weight;
                muTwice += weight * slope * slope;
                both += weight * slope;
                currentOff += weight * off;
                muOff += weight * slope * off;
            }
        }

        private static double at(TubeModel type, Reading reading, double current, double mu) {
            return current + Math.log(reading.by(type.withMu(Math.exp(mu))));
        }

        private double determinant() {
            return currentTwice * muTwice - both * both;
        }

        double[] step() {
            double currentStep = (currentOff * muTwice - muOff * both) / determinant();
            double muStep = (muOff * currentTwice - currentOff * both) / determinant();
            double longest = Math.max(Math.abs(currentStep), Math.abs(muStep));
            double part = longest > MOST_STEP ? MOST_STEP / longest : 1;
            return new double[] {part * currentStep, part * muStep};
        }

        double currentError() {
            return Math.sqrt(muTwice / determinant());
        }

        double muError() {
            return Math.sqrt(currentTwice / determinant());
        }
    }
}
