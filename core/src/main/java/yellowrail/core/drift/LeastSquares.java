package yellowrail.core.drift;

/**
 * Weighted linear least squares with a few unknowns, by the normal equations and their Cholesky factor; a prior on an
 * unknown is one more observation of it. Up to five unknowns of like size, where the normal equations do no harm.
 */
final class LeastSquares {

    private final int unknowns;
    private final double[][] normal;
    private final double[] right;
    private double squares;

    LeastSquares(int unknowns) {
        this.unknowns = unknowns;
        this.normal = new double[unknowns][unknowns];
        this.right = new double[unknowns];
    }

    /**
     * One observation.
     *
     * @param row what each unknown adds to it
     * @param value what was observed
     * @param weight one over its variance
     */
    void add(double[] row, double value, double weight) {
        for (int i = 0; i < unknowns; i++) {
            double weighted = weight * row[i];
            for (int j = 0; j <= i; j++) {
                normal[i][j] += weighted * row[j];
            }
            right[i] += weighted * value;
        }
        squares += weight * value * value;
    }

    /** An unknown is near zero, give or take {@code deviation}. */
    void prior(int unknown, double deviation) {
        normal[unknown][unknown] += 1 / (deviation * deviation);
    }

    /**
     * The best values.
     *
     * @param x best value of each unknown
     * @param covariance of them
     * @param chi2 weighted sum of squares that is left, priors included
     */
    record Solution(double[] x, double[][] covariance, double chi2) {

        /** Standard deviation of a sum of the unknowns, each times its factor. */
        double deviation(double... factors) {
            double variance = 0;
            for (int i = 0; i < factors.length; i++) {
                for (int j = 0; j < factors.length; j++) {
                    variance += factors[i] * covariance[i][j] * factors[j];
                }
            }
            return Math.sqrt(Math.max(0, variance));
        }

        double sum(double... factors) {
            double sum = 0;
            for (int i = 0; i < factors.length; i++) {
                sum += factors[i] * x[i];
            }
            return sum;
        }
    }

    Solution solve() {
        double[][] factor = new double[unknowns][unknowns];
        for (int i = 0; i < unknowns; i++) {
            for (int j = 0; j <= i; j++) {
                double rest = normal[i][j];
                for (int k = 0; k < j; k++) {
                    rest -= factor[i][k] * factor[j][k];
                }
                // An unknown that nothing observes gets a variance beyond all use instead of a division by zero.
                factor[i][j] = i == j ? Math.sqrt(Math.max(rest, 1e-12 * normal[i][i] + 1e-12)) : rest / factor[j][j];
            }
        }
        double[][] covariance = new double[unknowns][unknowns];
        for (int column = 0; column < unknowns; column++) {
            double[] unit = new double[unknowns];
            unit[column] = 1;
            double[] inverse = backward(factor, forward(factor, unit));
            for (int row = 0; row < unknowns; row++) {
                covariance[row][column] = inverse[row];
            }
        }
        double[] x = backward(factor, forward(factor, right));
        double explained = 0;
        for (int i = 0; i < unknowns; i++) {
            explained += x[i] * right[i];
        }
        return new Solution(x, covariance, Math.max(0, squares - explained));
    }

    private static double[] forward(double[][] factor, double[] of) {
        double[] y = new double[of.length];
        for (int i = 0; i < of.length; i++) {
            double rest = of[i];
            for (int k = 0; k < i; k++) {
                rest -= factor[i][k] * y[k];
            }
            y[i] = rest / factor[i][i];
        }
        return y;
    }

    private static double[] backward(double[][] factor, double[] of) {
        double[] x = new double[of.length];
        for (int i = of.length - 1; i >= 0; i--) {
            double rest = of[i];
            for (int k = i + 1; k < of.length; k++) {
                rest -= factor[k][i] * x[k];
            }
            x[i] = rest / factor[i][i];
        }
        return x;
    }
}
