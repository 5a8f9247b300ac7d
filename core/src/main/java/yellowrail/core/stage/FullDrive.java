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
 * Drives a sine to the edge of grid current, where the grids just meet their cathodes, or beyond it with the grids held
 * there, through a stage that has no memory within the cycle. What moves slowly is brought to agree with the means of
 * the cycle by a quasi-Newton method: the voltage on a by-passed cathode resistor, which full drive shifts, the DC of a
 * single-ended core, the sag of the supplies.
 *
 * <p>Not in it: what grid current does to the stage before and to the bias, leakage inductance, the phase of the load,
 * screens that are not by-passed.
 */
public final class FullDrive {

    /** Phase steps in a cycle; 64 give the same to three decimals. */
    public static final int STEPS = 256;

    /** Overdriven so many times, the grids held at their cathodes. */
    public static final double MOST = 4;

    private static final int SLOW_STEPS = 32;
    /** Of the voltages within the cycle, V, and of the means, A. */
    private static final double TOLERANCE = 1e-6;

    private static final double CONVERGED = 1e-7;
    /** A step that leaves more than this of the distance calls for new slopes. */
    private static final double SLOW = 0.3;

    /** What few steps may miss of the means, A. */
    private static final double ROUGH = 2e-6;

    private static final int MOST_ROUNDS = 60;
    /** Step of the numerical derivatives, A. */
    private static final double STEP = 1e-4;

    private final OutputStage stage;
    private final Idle idle;
    private final List<Mean> means = new ArrayList<>();
    private final int steps;
    private final double part;
    /** Where the search for the means begins, and then where it ended. */
    private Settled settled;

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

    /** @param part of the drive that just brings the grids to their cathodes, more than 0, at most {@link #MOST} */
    public FullDrive(OutputStage stage, int steps, double part) {
        this(part, steps, stage);
        if (steps < 16 || steps % 4 != 0) {
            throw new IllegalArgumentException("phase steps are a multiple of 4 from 16, was " + steps);
        }
    }

    /** The same with a square wave: of its cycle there are the trough and the peak, for as long each. */
    static FullDrive square(OutputStage stage) {
        return new FullDrive(1, 2, stage);
    }

    /** The same at another part of the drive; where this one has settled, that one begins. */
    FullDrive then(double other) {
        FullDrive next = new FullDrive(other, steps, stage, idle);
        next.settled = settled;
        return next;
    }

    private FullDrive(double part, int steps, OutputStage stage) {
        this(part, steps, stage, Idle.of(stage));
        this.settled = new Settled(means.stream().mapToDouble(this::atIdle).toArray(), null);
    }

    private FullDrive(double part, int steps, OutputStage stage, Idle idle) {
        if (!(part > 0 && part <= MOST)) {
            throw new IllegalArgumentException(
                    "a part of full drive lies between 0 and %s, was %s".formatted(MOST, part));
        }
        this.stage = stage;
        this.steps = steps;
        this.part = part;
        this.idle = idle;
        if (stage.bias().isCathode()) {
            means.add(Mean.CATHODES);
        }
        if (!stage.isPushPull() || stage.otherSide().isPresent()) {
            means.add(Mean.CORE);
        }
        if (stage.losses().plateSag() > 0) {
            means.add(Mean.PLATES);
        }
        if (stage.losses().screenSag() > 0 && !stage.isTapped()) {
            means.add(Mean.SCREENS);
        }
    }

    /**
     * Few steps tell the means of most stages; where they do not, as where the tops are flat, all steps are asked.
     *
     * @throws UnsettledException if the means do not settle
     */
    public Performance compute() {
        settled = settled(settled, Math.min(steps, SLOW_STEPS), CONVERGED);
        Cycle cycle = cycle(settled.x(), steps);
        if (norm(off(settled.x(), cycle)) > ROUGH) {
            settled = settled(settled, steps, ROUGH);
            cycle = cycle(settled.x(), steps);
        }
        return new Performance(stage, idle, cycle, slow(settled.x()));
    }

    private Cycle cycle(double[] x, int of) {
        Signal.Slow slow = slow(x);
        return new Cycle(stage, slow, -part * slow.grid(), of, TOLERANCE);
    }

    /** Means that agree, with how far they are off per move of each; null where none was needed. */
    private record Settled(double[] x, RealMatrix slopes) {}

    /**
     * Means that the cycle they make gives back; the slopes are corrected by every step, and taken anew where that is
     * slow.
     *
     * @param enough how far off they may be, A
     */
    private Settled settled(Settled from, int of, double enough) {
        double[] x = from.x();
        double[] off = off(x, of);
        RealMatrix slopes = from.slopes() != null || norm(off) < enough ? from.slopes() : slopes(x, off, of);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            if (norm(off) < enough) {
                return new Settled(x, slopes);
            }
            RealVector step = new LUDecomposition(slopes).getSolver().solve(new ArrayRealVector(off, false));
            double part = 1;
            double[] tried = moved(x, step, part);
            double[] left = off(tried, of);
            while (norm(left) > norm(off) && part > 1e-3) {
                part /= 2;
                tried = moved(x, step, part);
                left = off(tried, of);
            }
            if (part < 1 || norm(left) > SLOW * norm(off)) {
                x = tried;
                off = left;
                slopes = slopes(x, off, of);
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

    private RealMatrix slopes(double[] x, double[] off, int of) {
        int n = x.length;
        RealMatrix slopes = MatrixUtils.createRealMatrix(n, n);
        for (int j = 0; j < n; j++) {
            double[] moved = x.clone();
            moved[j] += STEP;
            double[] there = off(moved, of);
            for (int i = 0; i < n; i++) {
                slopes.setEntry(i, j, (there[i] - off[i]) / STEP);
            }
        }
        return slopes;
    }

    /** Only what is left over in the core of a pair can be less than nothing. */
    private double[] moved(double[] x, RealVector step, double part) {
        double[] moved = x.clone();
        for (int i = 0; i < x.length; i++) {
            double to = x[i] - part * step.getEntry(i);
            moved[i] = means.get(i) == Mean.CORE && stage.isPushPull() ? to : Math.max(0, to);
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
    private double[] off(double[] x, int of) {
        return x.length == 0 ? x : off(x, cycle(x, of));
    }

    private double[] off(double[] x, Cycle cycle) {
        double[] off = new double[x.length];
        for (int i = 0; i < off.length; i++) {
            off[i] = x[i]
                    - switch (means.get(i)) {
                        case CATHODES -> cycle.all(tube -> tube.plateAmps() + tube.screenAmps());
                        case CORE -> cycle.coreAmps();
                        case PLATES -> cycle.all(stage::throughPrimary);
                        case SCREENS -> cycle.all(Sample::screenAmps);
                    };
        }
        return off;
    }

    private double atIdle(Mean mean) {
        return switch (mean) {
            case CATHODES -> idle.allPlateAmps() + idle.allScreenAmps();
            case CORE -> idle.coreAmps(stage);
            case PLATES -> idle.all(stage::throughPrimary);
            case SCREENS -> idle.allScreenAmps();
        };
    }

    private Signal.Slow slow(double[] x) {
        double lift = stage.bias().isCathode() ? stage.bias().ohms().getAsDouble() * value(Mean.CATHODES, x) : 0;
        double plates = idle.plateSupply()
                + idle.cathodeVolts()
                - stage.losses().plateSag() * (value(Mean.PLATES, x) - atIdle(Mean.PLATES))
                - lift;
        double screens = idle.screenSupply()
                + idle.cathodeVolts()
                - stage.losses().screenSag() * (value(Mean.SCREENS, x) - atIdle(Mean.SCREENS))
                - lift;
        return new Signal.Slow(
                plates, screens, stage.bias().isCathode() ? -lift : idle.gridVolts(), value(Mean.CORE, x));
    }

    private double value(Mean mean, double[] x) {
        int i = means.indexOf(mean);
        return i < 0 ? atIdle(mean) : x[i];
    }
}
