package yellowrail.core.ring;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * The linear part of a ring's fit to the samples after a tap: a falling cosine and sine, a constant and the multiples
 * of the mains, by normal equations. What does not change with the ring is summed once.
 */
final class RingEquations {

    /** Multiples of the mains. */
    private static final int HUM = 6;

    private static final int STILL = 1 + 2 * HUM;
    private static final double NOTHING = 1e-11;

    private final double[] samples;
    private final double perSecond;
    /** Columns that stand still: a constant, then cosine and sine of each multiple. */
    private final double[][] still = new double[STILL][];

    private final double[][] stillProducts = new double[STILL][STILL];
    private final double[] stillSums = new double[STILL];
    private final double squares;

    RingEquations(double[] samples, double perSecond, double mains) {
        this.samples = samples;
        this.perSecond = perSecond;
        for (int column = 0; column < STILL; column++) {
            still[column] = new double[samples.length];
            int harmonic = (column + 1) / 2;
            double turn = 2 * Math.PI * mains * harmonic / perSecond;
            for (int i = 0; i < samples.length; i++) {
                still[column][i] = column % 2 == 0 && column > 0 ? Math.sin(turn * i) : Math.cos(turn * i);
            }
        }
        for (int j = 0; j < STILL; j++) {
            stillSums[j] = product(still[j], samples);
            for (int k = 0; k <= j; k++) {
                stillProducts[j][k] = product(still[j], still[k]);
                stillProducts[k][j] = stillProducts[j][k];
            }
        }
        squares = product(samples, samples);
    }

    private static double product(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }

    /**
     * A ring's amplitudes at its first sample.
     *
     * @param left sum of the squares of what is left
     */
    record Line(double cos, double sin, double left) {

        double peak() {
            return Math.hypot(cos, sin);
        }
    }

    /**
     * Where the least would lie if everything were straight.
     *
     * @param turn in frequency, rad/s
     * @param drop in fall, 1/s
     * @param turnVariance of the turn, of the variance of a sample
     * @param dropVariance of the drop
     */
    record Step(double turn, double drop, double turnVariance, double dropVariance) {}

    /** How many samples say more than the fit takes from them. */
    int freedom() {
        return samples.length - STILL - 4;
    }

    Line line(double omega, double fall) {
        double[][] ring = ring(omega, fall);
        double[] sums = sums(ring);
        double[] values =
                solver(products(ring)).solve(new ArrayRealVector(sums, false)).toArray();
        double left = squares;
        for (int i = 0; i < values.length; i++) {
            left -= values[i] * sums[i];
        }
        return new Line(values[0], values[1], Math.max(0, left));
    }

    Step step(double omega, double fall, Line line) {
        double[][] ring = ring(omega, fall);
        double[] turn = new double[samples.length];
        double[] drop = new double[samples.length];
        for (int i = 0; i < samples.length; i++) {
            double t = i / perSecond;
            turn[i] = t * (line.sin() * ring[0][i] - line.cos() * ring[1][i]);
            drop[i] = -t * (line.cos() * ring[0][i] + line.sin() * ring[1][i]);
        }
        double[][] moving = {ring[0], ring[1], turn, drop};
        DecompositionSolver solver = solver(products(moving));
        double[] values = solver.solve(new ArrayRealVector(sums(moving), false)).toArray();
        RealMatrix inverse = solver.getInverse();
        return new Step(values[2], values[3], inverse.getEntry(2, 2), inverse.getEntry(3, 3));
    }

    /** A falling cosine and sine, each sample a turn further than the last. */
    private double[][] ring(double omega, double fall) {
        double[][] ring = new double[2][samples.length];
        double height = Math.exp(-fall / perSecond);
        double turnCos = height * Math.cos(omega / perSecond);
        double turnSin = height * Math.sin(omega / perSecond);
        double cos = 1;
        double sin = 0;
        for (int i = 0; i < samples.length; i++) {
            ring[0][i] = cos;
            ring[1][i] = sin;
            double was = cos;
            cos = was * turnCos - sin * turnSin;
            sin = was * turnSin + sin * turnCos;
        }
        return ring;
    }

    private double[] sums(double[][] moving) {
        double[] sums = new double[moving.length + STILL];
        for (int i = 0; i < moving.length; i++) {
            sums[i] = product(moving[i], samples);
        }
        System.arraycopy(stillSums, 0, sums, moving.length, STILL);
        return sums;
    }

    private double[][] products(double[][] moving) {
        int size = moving.length + STILL;
        double[][] products = new double[size][size];
        for (int j = 0; j < moving.length; j++) {
            for (int k = 0; k < size; k++) {
                products[j][k] = product(moving[j], k < moving.length ? moving[k] : still[k - moving.length]);
                products[k][j] = products[j][k];
            }
        }
        for (int j = 0; j < STILL; j++) {
            System.arraycopy(stillProducts[j], 0, products[moving.length + j], moving.length, STILL);
        }
        return products;
    }

    private static DecompositionSolver solver(double[][] products) {
        return new QRDecomposition(new Array2DRowRealMatrix(products, false), NOTHING * products[0][0]).getSolver();
    }
}
