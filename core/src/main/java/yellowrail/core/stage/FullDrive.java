package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import yellowrail.core.root.UnsettledException;

/**
 * Drives a sine to the edge of grid current, where the grids just meet their cathodes, through a stage that has no
 * memory within the cycle. What moves slowly is brought to agree with the means of the cycle by a quasi-Newton method:
 * the voltage on a by-passed cathode resistor, which full drive shifts, the DC of a single-ended core, the sag of the
 * supplies.
 *
 * <p>Not in it: grid current, leakage inductance, the phase of the load, screens that are not by-passed.
 */
public final class FullDrive {

    /** Phase steps in a cycle; 64 give the same to three decimals. */
    public static final int STEPS = 256;

    private static final int SLOW_STEPS = 32;
    /** Of the voltages within the cycle, V, and of the means, A. */
    private static final double TOLERANCE = 1e-6;

    private static final double CONVERGED = 1e-8;
    /** A step that leaves more than this of the distance calls for new slopes. */
    private static final double SLOW = 0.3;

    private static final int MOST_ROUNDS = 60;
    /** Step of the numerical derivatives, A. */
    private static final double STEP = 1e-4;

    private final OutputStage stage;
    private final Idle idle;
    private final List<Mean> means = new ArrayList<>();
    private final int steps;
    private final double part;

    /** A mean of the cycle that something slow depends on. */
    private enum Mean {
        CATHODES,
        CORE,
        PLATES,
        SCREENS
    }

    public FullDrive(OutputStage stage) {
        this(stage, STEPS);
    }

    /** @param steps phase steps in a cycle, a multiple of 4, at least 16 */
    public FullDrive(OutputStage stage, int steps) {
        this(stage, steps, 1);
    }

    /** @param part of the drive that just brings the grids to their cathodes, more than 0, at most 1 */
    public FullDrive(OutputStage stage, int steps, double part) {
        this(part, steps, stage);
        if (steps < 16 || steps % 4 != 0) {
            throw new IllegalArgumentException("phase steps are a multiple of 4 from 16, was " + steps);
        }
    }

    /** The same with a square wave: of its cycle there are the trough and the peak, for as long each. */
    static FullDrive square(OutputStage stage, double part) {
        return new FullDrive(part, 2, stage);
    }

    private FullDrive(double part, int steps, OutputStage stage) {
        if (!(part > 0 && part <= 1)) {
            throw new IllegalArgumentException("a part of full drive lies between 0 and 1, was " + part);
        }
        this.stage = stage;
        this.steps = steps;
        this.part = part;
        this.idle = Idle.of(stage);
        if (stage.bias().isCathode()) {
            means.add(Mean.CATHODES);
        }
        if (!stage.isPushPull()) {
            means.add(Mean.CORE);
        }
        if (stage.plateSagOhms() > 0) {
            means.add(Mean.PLATES);
        }
        if (stage.screenSagOhms() > 0 && stage.tap() == 0) {
            means.add(Mean.SCREENS);
        }
    }

    /** @throws UnsettledException if the means do not settle */
    public Performance compute() {
        Signal.Slow slow = slow(settled());
        return new Performance(stage, idle, new Cycle(stage, slow, -part * slow.grid(), steps, TOLERANCE), slow);
    }

    /**
     * Means that the cycle they make gives back; the slopes are corrected by every step, and taken anew where that is
     * slow.
     */
    private double[] settled() {
        double[] x = atIdle();
        double[] off = off(x);
        RealMatrix slopes = norm(off) < CONVERGED ? null : slopes(x, off);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            if (norm(off) < CONVERGED) {
                return x;
            }
            RealVector step = new LUDecomposition(slopes).getSolver().solve(new ArrayRealVector(off, false));
            double part = 1;
            double[] tried = moved(x, step, part);
            double[] left = off(tried);
            while (norm(left) > norm(off) && part > 1e-3) {
                part /= 2;
                tried = moved(x, step, part);
                left = off(tried);
            }
            if (part < 1 || norm(left) > SLOW * norm(off)) {
                x = tried;
                off = left;
                slopes = slopes(x, off);
                continue;
            }
            RealVector moved = new ArrayRealVector(tried, false).subtract(new ArrayRealVector(x, false));
            RealVector missed = new ArrayRealVector(left, false)
                    .subtract(new ArrayRealVector(off, false))
                    .subtract(slopes.operate(moved));
            slopes = slopes.add(missed.mapDivide(moved.dotProduct(moved)).outerProduct(moved));
            x = tried;
            off = left;
        }
        throw new UnsettledException(MOST_ROUNDS);
    }

    private RealMatrix slopes(double[] x, double[] off) {
        int n = x.length;
        RealMatrix slopes = MatrixUtils.createRealMatrix(n, n);
        for (int j = 0; j < n; j++) {
            double[] moved = x.clone();
            moved[j] += STEP;
            double[] there = off(moved);
            for (int i = 0; i < n; i++) {
                slopes.setEntry(i, j, (there[i] - off[i]) / STEP);
            }
        }
        return slopes;
    }

    private static double[] moved(double[] x, RealVector step, double part) {
        double[] moved = x.clone();
        for (int i = 0; i < x.length; i++) {
            moved[i] = Math.max(0, x[i] - part * step.getEntry(i));
        }
        return moved;
    }

    private static double norm(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value * value;
        }
        return Math.sqrt(sum);
    }

    /** How far the means of the cycle lie from those it was made with, A. */
    private double[] off(double[] x) {
        if (x.length == 0) {
            return x;
        }
        Signal.Slow slow = slow(x);
        Cycle cycle = new Cycle(stage, slow, -part * slow.grid(), Math.min(steps, SLOW_STEPS), TOLERANCE);
        double[] off = new double[x.length];
        for (int i = 0; i < off.length; i++) {
            off[i] = x[i]
                    - switch (means.get(i)) {
                        case CATHODES -> stage.tubes() * cycle.mean(tube -> tube.plateAmps() + tube.screenAmps());
                        case CORE -> cycle.meanMagnetising();
                        case PLATES ->
                            stage.tubes()
                                    * cycle.mean(tube -> tube.plateAmps() + (stage.tap() > 0 ? tube.screenAmps() : 0));
                        case SCREENS -> stage.tubes() * cycle.mean(Sample::screenAmps);
                    };
        }
        return off;
    }

    private double[] atIdle() {
        return means.stream().mapToDouble(this::atIdle).toArray();
    }

    private double atIdle(Mean mean) {
        return switch (mean) {
            case CATHODES -> stage.tubes() * (idle.plateAmps() + idle.screenAmps());
            case CORE -> stage.tubesPerSide() * (idle.plateAmps() + stage.tap() * idle.screenAmps());
            case PLATES -> stage.tubes() * (idle.plateAmps() + (stage.tap() > 0 ? idle.screenAmps() : 0));
            case SCREENS -> stage.tubes() * idle.screenAmps();
        };
    }

    private Signal.Slow slow(double[] x) {
        double lift = stage.bias().isCathode() ? stage.bias().ohms().getAsDouble() * value(Mean.CATHODES, x) : 0;
        double copper = stage.primaryOhms()
                * stage.tubesPerSide()
                * (idle.plateAmps() + (stage.tap() > 0 ? idle.screenAmps() : 0));
        double plates = stage.plateVolts()
                + copper
                + idle.cathodeVolts()
                - stage.plateSagOhms() * (value(Mean.PLATES, x) - atIdle(Mean.PLATES))
                - lift;
        double screens = stage.screenVolts()
                + idle.cathodeVolts()
                - stage.screenSagOhms() * (value(Mean.SCREENS, x) - atIdle(Mean.SCREENS))
                - lift;
        return new Signal.Slow(
                plates, screens, stage.bias().isCathode() ? -lift : idle.gridVolts(), value(Mean.CORE, x));
    }

    private double value(Mean mean, double[] x) {
        int i = means.indexOf(mean);
        return i < 0 ? atIdle(mean) : x[i];
    }
}
