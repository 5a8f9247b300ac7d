package yellowrail.core.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.quantity.ErrorBudget;
import yellowrail.core.quantity.ErrorBudget.Input;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Unit;

/**
 * The idle of one tube from what was read: currents, plate voltage to the cathode, dissipation, each with its
 * plus-minus.
 *
 * <pre>
 * current through the test point   I  = V / R                  (or as the meter shows it)
 * through a cathode                Ik = I / n,   Ig2 = s Ik,   Ia = Ik - Ig2
 * through a plate                  Ia = I / n,   Ik  = Ia / (1 - s)
 * through the supply               Ik = (I - Iother) / n
 * plate voltage to the cathode     Va = Vread - Vk - m Ia Rhalf
 * dissipation                      Pa = Va Ia,   Pg2 = Vg2 Ig2
 * copper                           R  = Rcold (1 + 0.0039 (T - Tcold))
 * </pre>
 *
 * Conventions: voltages to the cathode; screen current is taken off the cathode current unless told not to; {@code Vk}
 * comes off only when plate voltage was read to ground, and the drop in the half primary with its {@code m} tubes only
 * when it was read at B+. Valid for class A and AB at idle, where the mean is the whole story.
 *
 * <p>Source of the copper coefficient: IEC 60028, 0.00393 per kelvin at 20 deg C.
 */
public final class IdleCalculation {

    /** Rise of copper's resistance per kelvin, from 20 deg C. */
    public static final double COPPER = 0.0039;
    /** How far a winding's temperature may lie from the one assumed, K, when nobody measured it. */
    private static final double COPPER_SPREAD = 25;
    /** How far it may lie when somebody did. */
    private static final double COPPER_MEASURED = 5;
    /** Half-primary resistance as an ohmmeter gives it on a warm or cold winding. */
    private static final double WINDING_SPREAD = 0.10;
    /** What else a supply feeds, as a builder reckons it. */
    private static final double OTHER_SPREAD = 0.20;

    private static final Input UNUSED = new Input("", 0, 0, Unit.VOLT);

    private final IdleProblem problem;
    private final List<Input> inputs;

    public IdleCalculation(IdleProblem problem) {
        this.problem = problem;
        this.inputs = inputs();
    }

    /**
     * @return the figures
     * @throws ImpossibleReadingException if the readings leave no plate current or no plate voltage
     */
    public IdleFigures compute() {
        ErrorBudget budget = new ErrorBudget(inputs);
        double[] values = inputs.stream().mapToDouble(Input::value).toArray();
        check(values);
        boolean screenKnown = problem.screenVolts().isPresent();
        Optional<Estimate> screenVolts = screenKnown ? Optional.of(budget.of(this::screenVolts)) : Optional.empty();
        Optional<Estimate> screenWatts =
                screenKnown ? Optional.of(budget.of(x -> screenVolts(x) * screenCurrent(x))) : Optional.empty();
        return new IdleFigures(
                problem,
                inputs,
                budget.of(this::plateVolts),
                budget.of(this::cathodeCurrent),
                budget.of(this::screenCurrent),
                budget.of(this::plateCurrent),
                budget.of(x -> plateVolts(x) * plateCurrent(x)),
                screenVolts,
                screenWatts,
                cathodeVolts(values));
    }

    /**
     * @return the same as plain numbers, for where many are needed and none is shown
     * @throws ImpossibleReadingException as {@link #compute}
     */
    public IdleValues values() {
        double[] values = inputs.stream().mapToDouble(Input::value).toArray();
        check(values);
        return new IdleValues(
                problem,
                plateVolts(values),
                cathodeCurrent(values),
                screenCurrent(values),
                plateCurrent(values),
                cathodeVolts(values));
    }

    private void check(double[] values) {
        if (!(throughTubes(values) > 0)) {
            throw new ImpossibleReadingException(
                    Slot.SENSE_READING, new IdleFinding.NoCurrentLeft(throughTubes(values)));
        }
        if (!(plateCurrent(values) > 0)) {
            throw new ImpossibleReadingException(
                    Slot.SCREEN_AMPS, new IdleFinding.ScreenNotLess(screenCurrent(values), cathodeCurrent(values)));
        }
        if (!(plateVolts(values) > 0)) {
            throw new ImpossibleReadingException(
                    Slot.PLATE_READING, new IdleFinding.NoPlateVoltsLeft(plateVolts(values)));
        }
    }

    /** Current per tube through the thing that is read. */
    private double throughTubes(double[] x) {
        double total = x[Slot.SENSE_READING.ordinal()];
        if (problem.senseIsVolts()) {
            total /= resistance(x);
        }
        return (total - x[Slot.OTHER_AMPS.ordinal()]) / problem.sharedBy();
    }

    private double resistance(double[] x) {
        double cold = x[Slot.SENSE_OHMS.ordinal()];
        return isCopper()
                ? cold
                        * (1
                                + COPPER
                                        * (x[Slot.COPPER.ordinal()]
                                                - problem.sense().copperCold()))
                : cold;
    }

    private boolean isCopper() {
        return problem.sense().method() == CurrentMethod.HALF_PRIMARY;
    }

    private boolean readsPlate() {
        return problem.sense().method().yields() == CurrentMethod.Yields.PLATE;
    }

    private double screenCurrent(double[] x) {
        return switch (problem.way()) {
            case NOT_DEDUCTED -> 0;
            case MEASURED -> x[Slot.SCREEN_AMPS.ordinal()];
            case TYPICAL -> {
                double share = x[Slot.SCREEN_SHARE.ordinal()];
                yield throughTubes(x) * (readsPlate() ? share / (1 - share) : share);
            }
        };
    }

    private double plateCurrent(double[] x) {
        return readsPlate() ? throughTubes(x) : throughTubes(x) - screenCurrent(x);
    }

    private double cathodeCurrent(double[] x) {
        return readsPlate() ? throughTubes(x) + screenCurrent(x) : throughTubes(x);
    }

    private double cathodeVolts(double[] x) {
        if (problem.cathodeVolts().isPresent()) {
            return x[Slot.CATHODE_VOLTS.ordinal()];
        }
        return problem.senseIsVolts() && problem.sense().method().liftsCathode() ? x[Slot.SENSE_READING.ordinal()] : 0;
    }

    private double plateVolts(double[] x) {
        return toCathode(x[Slot.PLATE_READING.ordinal()], x) - primaryDrop(x);
    }

    private double screenVolts(double[] x) {
        return toCathode(x[Slot.SCREEN_VOLTS.ordinal()], x);
    }

    private double toCathode(double volts, double[] x) {
        return problem.plate().reference() == PlateSense.Reference.GROUND ? volts - cathodeVolts(x) : volts;
    }

    private double primaryDrop(double[] x) {
        if (problem.plate().point() != PlateSense.Point.B_PLUS) {
            return 0;
        }
        if (isCopper() && problem.senseIsVolts()) {
            return x[Slot.SENSE_READING.ordinal()];
        }
        return problem.tubesOnHalfPrimary() * plateCurrent(x) * x[Slot.HALF_PRIMARY.ordinal()];
    }

    private List<Input> inputs() {
        CurrentSense sense = problem.sense();
        Unit shows =
                problem.senseIsVolts() ? (sense.shows() == Unit.MILLIVOLT ? Unit.MILLIVOLT : Unit.VOLT) : Unit.MILLIAMP;
        List<Input> list = new ArrayList<>();
        list.add(new Input(
                "Vread",
                problem.plateReading(),
                problem.meter().ofVolts(problem.plateReading(), problem.plateDigit()),
                Unit.VOLT));
        list.add(new Input(
                problem.senseIsVolts() ? "V" : "I",
                problem.senseReading(),
                problem.meter().ofSense(problem.senseReading(), problem.senseDigit()),
                shows));
        list.add(
                problem.senseIsVolts()
                        ? new Input(
                                "R",
                                sense.ohms().getAsDouble(),
                                sense.tolerance() * sense.ohms().getAsDouble(),
                                Unit.OHM)
                        : UNUSED);
        list.add(isCopper() && problem.senseIsVolts() ? copper(sense) : UNUSED);
        list.add(optional("Vk", problem.cathodeVolts()));
        list.add(
                problem.way() == ScreenSense.Way.TYPICAL && problem.screenShare() > 0
                        ? new Input(
                                "s",
                                problem.screenShare(),
                                problem.screenShare() * problem.screenSpread(),
                                Unit.PERCENT)
                        : UNUSED);
        list.add(
                problem.way() == ScreenSense.Way.MEASURED
                        ? new Input(
                                "Ig2", problem.screenAmps().getAsDouble(), problem.screenAmpsPlusMinus(), Unit.MILLIAMP)
                        : UNUSED);
        list.add(halfPrimary());
        list.add(
                sense.otherAmps().isPresent() && sense.method() == CurrentMethod.SUPPLY_DROP
                        ? new Input(
                                "Iother",
                                sense.otherAmps().getAsDouble(),
                                OTHER_SPREAD * sense.otherAmps().getAsDouble(),
                                Unit.MILLIAMP)
                        : UNUSED);
        list.add(optional("Vg2", problem.screenVolts()));
        return list;
    }

    private Input halfPrimary() {
        OptionalDouble ohms = problem.plate().halfPrimaryOhms();
        if (problem.plate().point() != PlateSense.Point.B_PLUS || ohms.isEmpty() || isCopper()) {
            return UNUSED;
        }
        return new Input("Rhalf", ohms.getAsDouble(), WINDING_SPREAD * ohms.getAsDouble(), Unit.OHM);
    }

    private static Input copper(CurrentSense sense) {
        return new Input(
                "T",
                sense.copperHot().orElse(sense.copperCold()),
                sense.copperHot().isPresent() ? COPPER_MEASURED : COPPER_SPREAD,
                Unit.CELSIUS);
    }

    private Input optional(String symbol, OptionalDouble volts) {
        return volts.isEmpty()
                ? UNUSED
                : new Input(symbol, volts.getAsDouble(), problem.meter().ofVolts(volts.getAsDouble()), Unit.VOLT);
    }
}
