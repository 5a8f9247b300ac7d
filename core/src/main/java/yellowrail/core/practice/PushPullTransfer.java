package yellowrail.core.practice;

import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import yellowrail.core.root.FallingRoot;
import yellowrail.core.root.Root;

/**
 * The curve from the drive at the grids to the volts across the half primary of a push-pull stage whose tubes need not
 * be alike: at each drive the winding stands where {@code v = Raa/4 (i1(V - v) - i2(V + v))}. A grid that meets its
 * cathode goes hardly any further. Supply and screens stand where the mean current of a sine of that peak leaves them.
 */
final class PushPullTransfer {

    /** What of the drive is left where a grid conducts. */
    private static final double PAST_ZERO = 0.02;
    /** Odd, so that no drive at all is one of them. */
    private static final int POINTS = 301;

    private static final int PHASES = 32;
    private static final double TOLERANCE = 1e-7;
    /** Of the supplies, V. */
    private static final double SETTLED = 1e-3;
    /** Ripple on the grids' supply, peak V at the mains' frequency. */
    private static final double BIAS_RIPPLE = 0.02;
    /** Of the plates' supply, peak V for each ampere at twice the mains' frequency. */
    private static final double RIPPLE = 5;

    private final Circuit circuit;
    private final OperatingPoint idle;
    private final double[] emission;
    private final double mains;
    private final double perAmp;

    /**
     * @param idle from which it is driven
     * @param emission of each tube
     * @param mains over the reference
     * @param plateToPlate ohm
     */
    PushPullTransfer(Circuit circuit, OperatingPoint idle, double[] emission, double mains, double plateToPlate) {
        this.circuit = circuit;
        this.idle = idle;
        this.emission = emission.clone();
        this.mains = mains;
        this.perAmp = plateToPlate / 4;
    }

    /** What stands still while a signal of one level is played, V. */
    private record Slow(double plate, double screen) {}

    /** Currents of both sides, plates and screens. */
    private record Sides(double push, double pull, double screens) {

        double all() {
            return push + pull + screens;
        }
    }

    /**
     * A curve that was computed, and what ripple does to it at each drive.
     *
     * @param most peak drive it holds to, V
     */
    record Curve(
            PolynomialSplineFunction winding,
            PolynomialSplineFunction byRipple,
            PolynomialSplineFunction byBias,
            double most) {

        /**
         * @param ripple where the supply's ripple stands, -1 to 1
         * @param bias the same of the grids' supply
         */
        double winding(double drive, double ripple, double bias) {
            double held = Math.max(-most, Math.min(most, drive));
            return winding.value(held) + ripple * byRipple.value(held) + bias * byBias.value(held);
        }
    }

    /** @param peak of a sine at the grids, V */
    Curve curve(double peak) {
        Slow slow = settled(peak);
        double most = Math.max(1, 1.001 * peak);
        double ripple = RIPPLE * mean(slow, peak, Sides::all);
        double[] drives = new double[POINTS];
        double[] winding = new double[POINTS];
        double[] byRipple = new double[POINTS];
        double[] byBias = new double[POINTS];
        for (int i = 0; i < POINTS; i++) {
            drives[i] = most * (2.0 * i / (POINTS - 1) - 1);
            winding[i] = winding(slow, drives[i], 0);
            byRipple[i] = winding(new Slow(slow.plate() + ripple, slow.screen() + ripple), drives[i], 0) - winding[i];
            byBias[i] = winding(slow, drives[i], BIAS_RIPPLE) - winding[i];
        }
        SplineInterpolator spline = new SplineInterpolator();
        return new Curve(
                spline.interpolate(drives, winding),
                spline.interpolate(drives, byRipple),
                spline.interpolate(drives, byBias),
                most);
    }

    private Slow settled(double peak) {
        double plate = Root.between(
                volts -> circuit.supply()
                                .volts(
                                        circuit.supply().otherAmps() + mean(withScreens(volts, peak), peak, Sides::all),
                                        mains)
                        - volts,
                0.3 * idle.plate(),
                1.3 * idle.plate(),
                SETTLED);
        return withScreens(plate, peak);
    }

    /** Where the screens stand on these plate volts. */
    private Slow withScreens(double plate, double peak) {
        double ohms = circuit.supply().screenOhms();
        double other = circuit.supply().otherAmps();
        return new Slow(
                plate,
                Root.between(
                        screen -> plate - ohms * (other + mean(new Slow(plate, screen), peak, Sides::screens)) - screen,
                        0.1 * plate,
                        plate,
                        SETTLED));
    }

    /** Over a turn of the drive. */
    private double mean(Slow slow, double peak, ToDoubleFunction<Sides> quantity) {
        double sum = 0;
        for (int i = 0; i < PHASES; i++) {
            double drive = peak * Math.sin(2 * Math.PI * (i + 0.5) / PHASES);
            sum += quantity.applyAsDouble(sides(slow, drive, 0, winding(slow, drive, 0)));
        }
        return sum / PHASES;
    }

    private double winding(Slow slow, double drive, double grids) {
        return FallingRoot.find(
                volts -> {
                    Sides sides = sides(slow, drive, grids, volts);
                    return perAmp * (sides.push() - sides.pull()) - volts;
                },
                -2 * slow.plate(),
                2 * slow.plate(),
                0,
                TOLERANCE);
    }

    private Sides sides(Slow slow, double drive, double grids, double winding) {
        double push = 0;
        double pull = 0;
        double screens = 0;
        for (int i = 0; i < emission.length; i++) {
            Circuit.Tube tube = circuit.tubes().get(i);
            double plate = slow.plate() - (tube.push() ? winding : -winding) - idle.cathodes()[i];
            double screen = slow.screen() - idle.cathodes()[i];
            double grid = held(idle.grids()[i] - idle.cathodes()[i] + (tube.push() ? drive : -drive) + grids);
            double amps = emission[i] * tube.model().plateCurrent(Math.max(0, plate), screen, grid);
            screens += emission[i] * tube.model().screenCurrent(Math.max(0, plate), screen, grid);
            push += tube.push() ? amps : 0;
            pull += tube.push() ? 0 : amps;
        }
        return new Sides(push, pull, screens);
    }

    private static double held(double grid) {
        return grid > 0 ? PAST_ZERO * grid : grid;
    }
}
