package yellowrail.core.tube.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The parameters of a {@link PentodeModel} that meet a type’s figures best. */
final class PentodeFit {

    /**
     * What the published figures deserve: plate current, screen current, transconductance, plate resistance; ratios.
     */
    private static final double PLATE = 0.005;

    private static final double SCREEN = 0.08;
    private static final double SLOPE = 0.03;
    private static final double RESISTANCE = 0.15;
    /** Usual parameters and how far, as a ratio, a type may lie from them: mu, ex, kg1, kp, kvb, early, kg2, f. */
    private static final double[] USUAL = {9, 1.38, 700, 40, 25, 900, 6000, 0.25};

    private static final double[] LATITUDE = {0.35, 0.06, 0.8, 0.5, 0.6, 0.7, 0.9, 2};
    /** The current at the knee follows from a published power, which rests on drive and transformer as well. */
    private static final double KNEE = 0.03;
    /** Idles of published operation are rounded more than static points. */
    private static final double IDLE = 0.015;
    /** Beyond, the cathode current would rise much as the plate falls through its knee, which no tube\u2019s does. */
    private static final double MOST_F = 1.3;

    private static final double FULL_SCREEN = 0.10;
    private static final int PHASES = 32;

    private final List<StaticPoint> points;
    private final List<PublishedOperation> operations;
    private final Optional<PublishedOperation> knee;

    /** @param knee the operation whose power places the knee */
    PentodeFit(List<StaticPoint> points, List<PublishedOperation> operations, Optional<PublishedOperation> knee) {
        this.points = points;
        this.operations = operations;
        this.knee = knee;
    }

    /** What is usual for power tubes. */
    static PentodeModel usual() {
        return model(new double[USUAL.length]);
    }

    static double[] latitude() {
        return LATITUDE.clone();
    }

    PentodeModel settle() {
        return model(new LogLeastSquares(USUAL.length, this::residuals).settle());
    }

    /**
     * Mean screen current of a push-pull pair at full drive, on a plate voltage that swings as a sine down to the knee.
     */
    private static double fullScreenAmps(PentodeModel model, PublishedOperation operation) {
        double sum = 0;
        for (int j = 0; j < PHASES; j++) {
            double swing = Math.sin(2 * Math.PI * (j + 0.5) / PHASES);
            sum += model.screenCurrent(
                    operation.plateVolts() - (operation.plateVolts() - operation.kneeVolts()) * swing,
                    operation.screenVolts(),
                    operation.gridVolts() * (1 - swing));
        }
        return operation.tubes() * sum / PHASES;
    }

    /** Parameters are usual times e to the power of what is fitted; f is kept below its most through its odds. */
    private static PentodeModel model(double[] x) {
        double[] p = IntStream.range(0, USUAL.length)
                .mapToDouble(i -> USUAL[i] * Math.exp(x[i]))
                .toArray();
        double odds = USUAL[7] / (MOST_F - USUAL[7]) * Math.exp(x[7]);
        return new PentodeModel(p[0], p[1], p[2], p[3], p[4], p[5], p[6], MOST_F * odds / (1 + odds));
    }

    private double[] residuals(double[] x) {
        PentodeModel model = model(x);
        List<Double> residuals = new ArrayList<>();
        for (StaticPoint p : points) {
            residuals.add(Math.log(model.plateCurrent(p.plate(), p.screen(), p.grid()) / p.plateAmps()) / PLATE);
            p.screenAmps()
                    .ifPresent(amps -> residuals.add(
                            Math.log(model.screenCurrent(p.plate(), p.screen(), p.grid()) / amps) / SCREEN));
            p.transconductance()
                    .ifPresent(gm -> residuals.add(
                            Math.log(model.transconductance(p.plate(), p.screen(), p.grid()) / gm) / SLOPE));
            p.plateResistance()
                    .ifPresent(ra -> residuals.add(
                            Math.log(model.plateResistance(p.plate(), p.screen(), p.grid()) / ra) / RESISTANCE));
        }
        for (PublishedOperation operation : operations) {
            StaticPoint idle = operation.idle();
            residuals.add(
                    Math.log(model.plateCurrent(idle.plate(), idle.screen(), idle.grid()) / idle.plateAmps()) / IDLE);
        }
        knee.ifPresent(operation -> residuals.add(
                operation.pushPull()
                        ? Math.log(model.plateCurrent(operation.kneeVolts(), operation.screenVolts(), 0)
                                        / operation.kneeAmps())
                                / KNEE
                        : Math.log(FiveOrdinates.watts(model, operation) / operation.watts()) / KNEE));
        knee.filter(operation ->
                        operation.pushPull() && operation.fullScreenAmps().isPresent())
                .ifPresent(operation -> residuals.add(Math.log(fullScreenAmps(model, operation)
                                / operation.fullScreenAmps().getAsDouble())
                        / FULL_SCREEN));
        for (int i = 0; i < x.length; i++) {
            residuals.add(x[i] / LATITUDE[i]);
        }
        return residuals.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
