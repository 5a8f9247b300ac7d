package yellowrail.core.tone;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;

/**
 * The weighted least-squares fit of a constant and of lines of known frequency to a recording, all together. As the
 * weight is even about the middle, cosines and sines part: two sets of equations, whose coefficients are known in
 * closed form.
 */
final class LineFit {

    /** Of the largest; below it an equation says nothing of its own. */
    private static final double NOTHING = 1e-11;

    private final NuttallWindow window;
    private final double perSecond;

    /** @param perSecond samples */
    LineFit(NuttallWindow window, double perSecond) {
        this.window = window;
        this.perSecond = perSecond;
    }

    /**
     * @param constant mean of what is no line
     * @param lines in the order asked for
     */
    record Fitted(double constant, List<Line> lines) {
        Fitted {
            lines = List.copyOf(lines);
        }
    }

    double radians(double hertz) {
        return 2 * Math.PI * hertz / perSecond;
    }

    double hertz(double radians) {
        return radians / (2 * Math.PI) * perSecond;
    }

    /** Lines this far apart do not lean on each other, and one so far below half the rate not on its mirror, Hz. */
    double clear() {
        return NuttallWindow.LOBE * perSecond / window.samples();
    }

    /**
     * @param weighted samples times the window's weights
     * @param hertz of each line, more than 0 and less than half the rate, all different
     */
    Fitted fit(double[] weighted, List<Double> hertz) {
        // The constant is a line of frequency 0.
        double[] radians = IntStream.rangeClosed(0, hertz.size())
                .mapToDouble(i -> i == 0 ? 0 : radians(hertz.get(i - 1)))
                .toArray();
        double[][] sums = new LineSums(radians).of(weighted);
        double[] cos = solve(radians, 1, sums[0]);
        double[] sin = solve(
                Arrays.copyOfRange(radians, 1, radians.length), -1, Arrays.copyOfRange(sums[1], 1, radians.length));
        return new Fitted(
                cos[0],
                IntStream.range(0, hertz.size())
                        .mapToObj(i -> new Line(hertz.get(i), cos[i + 1], sin[i]))
                        .toList());
    }

    private double[] solve(double[] radians, int sign, double[] sums) {
        int size = radians.length;
        if (size == 0) {
            return new double[0];
        }
        double[][] products = new double[size][size];
        for (int i = 0; i < size; i++) {
            for (int j = 0; j <= i; j++) {
                products[i][j] = (window.sum(radians[i] - radians[j]) + sign * window.sum(radians[i] + radians[j])) / 2;
                products[j][i] = products[i][j];
            }
        }
        return new QRDecomposition(new Array2DRowRealMatrix(products, false), NOTHING * window.samples())
                .getSolver()
                .solve(new ArrayRealVector(sums, false))
                .toArray();
    }

    /** What is left of samples without a constant and lines. */
    double[] without(double[] samples, double constant, List<Line> lines) {
        double[] left = samples.clone();
        if (constant != 0) {
            for (int i = 0; i < left.length; i++) {
                left[i] -= constant;
            }
        }
        new LineSums(lines.stream().mapToDouble(line -> radians(line.hertz())).toArray())
                .takeOut(
                        left,
                        lines.stream().mapToDouble(Line::cos).toArray(),
                        lines.stream().mapToDouble(Line::sin).toArray());
        return left;
    }
}
