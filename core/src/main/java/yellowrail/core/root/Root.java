package yellowrail.core.root;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathIllegalStateException;

/** Where a continuous function crosses zero between two ends, by Brent's method of higher order. */
public final class Root {

    private static final int MOST_EVALUATIONS = 200;
    private static final int ORDER = 5;

    private Root() {}

    /**
     * @param tolerance of the place, in its own unit
     * @return where it crosses; the end nearer to zero where it does not
     * @throws UnsettledException if it is no number at an end, or the place is not found in 200 evaluations
     */
    public static double between(DoubleUnaryOperator function, double from, double to, double tolerance) {
        double atFrom = function.applyAsDouble(from);
        double atTo = function.applyAsDouble(to);
        if (Double.isNaN(atFrom) || Double.isNaN(atTo)) {
            throw new UnsettledException(0);
        }
        if (atFrom * atTo >= 0) {
            return Math.abs(atFrom) <= Math.abs(atTo) ? from : to;
        }
        try {
            return new BracketingNthOrderBrentSolver(tolerance, ORDER)
                    .solve(MOST_EVALUATIONS, function::applyAsDouble, from, to);
        } catch (MathIllegalStateException e) {
            throw new UnsettledException(MOST_EVALUATIONS);
        }
    }
}
