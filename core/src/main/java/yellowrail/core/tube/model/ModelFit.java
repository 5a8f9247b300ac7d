package yellowrail.core.tube.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * Fits a {@link PentodeModel} to the published points of one type: least squares over the logarithms of the parameters,
 * each residual relative and divided by how well the published figure deserves to be met. A type has fewer figures than
 * the model has parameters, so each parameter is also held, weakly, to what is usual for power tubes.
 */
public final class ModelFit {

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
    private static final double STEP = 1e-6;
    private static final int MOST_EVALUATIONS = 2000;

    private final String type;
    private final List<StaticPoint> points;
    private final List<PublishedOperation> operations;

    /**
     * @param type the type number
     * @param points its published points, at least one
     * @param operations its published operation: all give their idle, the first in push-pull the knee
     */
    public ModelFit(String type, List<StaticPoint> points, List<PublishedOperation> operations) {
        if (points.isEmpty()) {
            throw new IllegalArgumentException("%s has no published points to fit to".formatted(type));
        }
        this.type = type;
        this.points = List.copyOf(points);
        this.operations = List.copyOf(operations);
    }

    /**
     * @return the fitted model with its errors
     * @throws org.hipparchus.exception.MathIllegalStateException if the fit does not settle within its evaluations
     */
    public KnownModel fit() {
        double[] zero = new double[USUAL.length];
        int residuals = residuals(zero).length;
        Optimum optimum = new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .start(zero)
                        .target(new double[residuals])
                        .model(jacobian())
                        .maxEvaluations(MOST_EVALUATIONS)
                        .maxIterations(MOST_EVALUATIONS)
                        .lazyEvaluation(false)
                        .build());
        PentodeModel model = model(optimum.getPoint().toArray());
        return known(model);
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

    /** The operation whose power places the knee, and is no check of the model any more. */
    Optional<PublishedOperation> knee() {
        return operations.stream().filter(PublishedOperation::pushPull).findFirst();
    }

    private KnownModel known(PentodeModel model) {
        double plate = points.stream()
                .mapToDouble(p -> Math.abs(model.plateCurrent(p.plate(), p.screen(), p.grid()) / p.plateAmps() - 1))
                .max()
                .orElseThrow();
        double screen = points.stream()
                .mapToDouble(p -> Math.abs(model.screenCurrent(p.plate(), p.screen(), p.grid()) / p.screenAmps() - 1))
                .max()
                .orElseThrow();
        return new KnownModel(type, model, points.size(), plate, screen, knee());
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
            residuals.add(Math.log(model.screenCurrent(p.plate(), p.screen(), p.grid()) / p.screenAmps()) / SCREEN);
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
        knee().ifPresent(operation -> residuals.add(
                Math.log(model.plateCurrent(operation.kneeVolts(), operation.screenVolts(), 0) / operation.kneeAmps())
                        / KNEE));
        knee().filter(operation -> operation.fullScreenAmps().isPresent())
                .ifPresent(operation -> residuals.add(Math.log(fullScreenAmps(model, operation)
                                / operation.fullScreenAmps().getAsDouble())
                        / FULL_SCREEN));
        for (int i = 0; i < x.length; i++) {
            residuals.add(x[i] / LATITUDE[i]);
        }
        return residuals.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private MultivariateJacobianFunction jacobian() {
        return at -> {
            double[] x = at.toArray();
            double[] here = residuals(x);
            RealMatrix slopes = MatrixUtils.createRealMatrix(here.length, x.length);
            for (int j = 0; j < x.length; j++) {
                double[] moved = x.clone();
                moved[j] += STEP;
                double[] there = residuals(moved);
                for (int i = 0; i < here.length; i++) {
                    slopes.setEntry(i, j, (there[i] - here[i]) / STEP);
                }
            }
            RealVector value = new ArrayRealVector(here, false);
            return new Pair<>(value, slopes);
        };
    }
}
