package yellowrail.core.supply;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.Goal;
import yellowrail.core.root.Root;
import yellowrail.core.tube.model.TubeModel;

/**
 * What another mains voltage does to an idle.
 *
 * <pre>I ~ m^a,  Pa ~ m^b</pre>
 *
 * By custom {@code a = 1.5, b = 2.5} with fixed bias, whose grids follow the mains as well, and {@code a = 1.2, b =
 * 2.2} with cathode bias, which partly holds the current. Where a model of the tube is known and the grid and screen
 * voltages have been read, the exponents are computed: every voltage of the stage scales with the mains, the source
 * resistance takes its part of the rise.
 *
 * @param current exponent of current
 * @param dissipation exponent of plate dissipation
 * @param from what they rest on
 */
public record Mains(double current, double dissipation, SupplyFinding from) {

    /** Mains this near to the reference need no conversion worth marking. */
    public static final double SAME = 0.005;

    /** Of current with grids that stand still: a pair in class AB by its model. */
    private static final double REGULATED = 4;

    private static final double STEP = 0.01;
    private static final double ENOUGH = 1e-7;

    /** The customary exponents of an amp\u2019s bias. */
    public static Mains customary(AmpSheet sheet) {
        if (!sheet.bias().isCathode() && sheet.supply().biasRegulated()) {
            return new Mains(REGULATED, REGULATED + 1, new SupplyFinding.CustomaryRegulated());
        }
        return sheet.bias().isCathode()
                ? new Mains(Goal.CATHODE_MAINS - 1, Goal.CATHODE_MAINS, new SupplyFinding.CustomaryCathode())
                : new Mains(1.5, 2.5, new SupplyFinding.CustomaryFixed());
    }

    /**
     * The exponents of a stage with fixed bias whose tube is known.
     *
     * @param model the tube, already made to pass through the reading
     * @param line its supply
     * @param other current of the rail that does not change, A
     * @param tubes on the rail
     * @param screenDrop how far the screen stands below the plate, V
     * @param grid grid volts at the reference, V
     * @param regulated whether they stand still while the mains move
     */
    public static Optional<Mains> computed(
            TubeModel model,
            SupplyLine line,
            double other,
            int tubes,
            double screenDrop,
            double grid,
            boolean regulated) {
        double[] here = idle(model, line, other, tubes, screenDrop, regulated ? grid : grid * (1 - STEP), 1 - STEP);
        double[] there = idle(model, line, other, tubes, screenDrop, regulated ? grid : grid * (1 + STEP), 1 + STEP);
        if (!(here[0] > 0 && there[0] > 0)) {
            return Optional.empty();
        }
        double per = Math.log((1 + STEP) / (1 - STEP));
        return Optional.of(new Mains(
                Math.log(there[0] / here[0]) / per,
                Math.log(there[1] / here[1]) / per,
                new SupplyFinding.FromModelAndLine()));
    }

    /** Cathode current and plate dissipation at a mains ratio. */
    private static double[] idle(
            TubeModel model, SupplyLine line, double other, int tubes, double screenDrop, double grid, double mains) {
        double plate = Root.between(
                volts -> line.voltsAt(
                                other + tubes * model.cathodeCurrent(volts, Math.max(1, volts - screenDrop), grid),
                                mains)
                        - volts,
                0,
                line.source() * mains,
                ENOUGH);
        double screen = Math.max(1, plate - screenDrop);
        return new double[] {model.cathodeCurrent(plate, screen, grid), plate * model.plateCurrent(plate, screen, grid)
        };
    }

    /** What current becomes at {@code to} that was read at {@code from}, both over the reference. */
    public double convertCurrent(double amps, double from, double to) {
        return amps * Math.pow(to / from, current);
    }

    public double convertDissipation(double watts, double from, double to) {
        return watts * Math.pow(to / from, dissipation);
    }
}
