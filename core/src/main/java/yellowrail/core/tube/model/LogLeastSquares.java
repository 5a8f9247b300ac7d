package yellowrail.core.tube.model;

import java.util.function.UnaryOperator;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/** Least squares over the logarithms of a model’s parameters, from the usual ones: there all of them are 0. */
final class LogLeastSquares {

    private static final double STEP = 1e-6;
    private static final int MOST_EVALUATIONS = 2000;

    private final int parameters;
    private final UnaryOperator<double[]> residuals;

    LogLeastSquares(int parameters, UnaryOperator<double[]> residuals) {
        this.parameters = parameters;
        this.residuals = residuals;
    }

    /** @throws org.hipparchus.exception.MathIllegalStateException if it does not settle within its evaluations */
    double[] settle() {
        double[] zero = new double[parameters];
        return new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .start(zero)
                        .target(new double[residuals.apply(zero).length])
                        .model(jacobian())
                        .maxEvaluations(MOST_EVALUATIONS)
                        .maxIterations(MOST_EVALUATIONS)
                        .lazyEvaluation(false)
                        .build())
                .getPoint()
                .toArray();
    }

    private MultivariateJacobianFunction jacobian() {
        return at -> {
            double[] x = at.toArray();
            double[] here = residuals.apply(x);
            RealMatrix slopes = MatrixUtils.createRealMatrix(here.length, x.length);
            for (int j = 0; j < x.length; j++) {
                double[] moved = x.clone();
                moved[j] += STEP;
                double[] there = residuals.apply(moved);
                for (int i = 0; i < here.length; i++) {
                    slopes.setEntry(i, j, (there[i] - here[i]) / STEP);
                }
            }
            RealVector value = new ArrayRealVector(here, false);
            return new Pair<>(value, slopes);
        };
    }
}
