package yellowrail.web.api;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.IdleCalculation;
import yellowrail.core.idle.IdleProblem;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Faults;

/** Makes a problem for the core of a request, noting every fault and every assumption. */
final class IdleRequestReader {

    private final JsonFields fields;
    private final TubeCatalogue catalogue;
    private final Faults faults;
    private final List<IdleAssumption> assumptions = new ArrayList<>();

    /** What was asked: the readings, and what to judge them by. */
    record Asked(IdleProblem problem, Goal goal, List<IdleAssumption> assumptions) {}

    IdleRequestReader(JsonFields fields, TubeCatalogue catalogue, Faults faults) {
        this.fields = fields;
        this.catalogue = catalogue;
        this.faults = faults;
    }

    /** @return what was asked; null if there are faults */
    Asked read() {
        TubeType type = fields.tubeType(IdleShape.TUBE_TYPE, catalogue);
        CurrentMethod method = method();
        PlateSense plate = plate(method);
        ScreenSense.Way way = way();
        boolean volts = method.acrossResistance();
        double reading = volts
                ? fields.required(IdleShape.SENSE_VOLTS)
                : Unit.MILLIAMP.toSi(fields.required(IdleShape.MILLIAMPS));
        OptionalDouble ohms = volts ? OptionalDouble.of(ohms(method)) : OptionalDouble.empty();
        double plateVolts = fields.required(IdleShape.PLATE_VOLTS);
        OptionalDouble cathodeVolts = fields.number(IdleShape.CATHODE_VOLTS);
        int shared = fields.whole(IdleShape.SHARED_BY);
        double tolerance = percent(IdleShape.SENSE_TOLERANCE_PERCENT, volts);
        double meter = percent(IdleShape.METER_PERCENT, true);
        OptionalDouble screen = screenMilliamps(way);
        OptionalDouble own = fields.number(IdleShape.PA_MAX_WATTS);
        String bias = fields.choice(IdleShape.BIAS_KIND);
        if (faults.any()) {
            return null;
        }
        CurrentSense sense = new CurrentSense(
                method,
                ohms,
                tolerance,
                volts ? Unit.VOLT : Unit.MILLIAMP,
                CurrentSense.ROOM,
                OptionalDouble.empty(),
                OptionalDouble.empty());
        IdleProblem problem = new IdleProblem(
                sense,
                reading,
                volts,
                shared,
                plate,
                plateVolts,
                1,
                cathodeVolts,
                way,
                type.screenShare(),
                screen,
                screen.orElse(0) * meter,
                OptionalDouble.empty(),
                new MeterAccuracy(meter, 0, 0, 0));
        Rating rating = own.isPresent()
                ? type.customaryRating().withPlateWatts(own.getAsDouble(), new TubeFinding.InRequest())
                : type.customaryRating();
        assume(problem, type, rating, bias);
        return new Asked(problem, goal(bias, type, rating), assumptions);
    }

    private CurrentMethod method() {
        return switch (fields.choice(IdleShape.METHOD)) {
            case "cathode-milliamps" -> CurrentMethod.SOCKET_ADAPTER;
            case "plate-milliamps" -> CurrentMethod.PLATE_ADAPTER;
            case "cathode-bias" -> CurrentMethod.CATHODE_RESISTOR;
            case "half-primary-drop" -> CurrentMethod.HALF_PRIMARY;
            default -> CurrentMethod.SENSE_EACH;
        };
    }

    private double ohms(CurrentMethod method) {
        boolean primaryOnly = method == CurrentMethod.HALF_PRIMARY && !fields.has(IdleShape.SENSE_OHMS);
        return fields.required(
                primaryOnly && fields.has(IdleShape.HALF_PRIMARY_OHMS)
                        ? IdleShape.HALF_PRIMARY_OHMS
                        : IdleShape.SENSE_OHMS);
    }

    private PlateSense plate(CurrentMethod method) {
        boolean bPlus = fields.choice(IdleShape.PLATE_POINT).equals("b-plus");
        boolean cathode = fields.choice(IdleShape.PLATE_REFERENCE).equals("cathode");
        OptionalDouble half = fields.number(IdleShape.HALF_PRIMARY_OHMS);
        if (bPlus && method != CurrentMethod.HALF_PRIMARY && !fields.has(IdleShape.HALF_PRIMARY_OHMS)) {
            fields.fault(IdleShape.HALF_PRIMARY_OHMS, new RequestFault.HalfPrimaryMissing());
        }
        return new PlateSense(
                bPlus ? PlateSense.Point.B_PLUS : PlateSense.Point.PLATE,
                cathode ? PlateSense.Reference.CATHODE : PlateSense.Reference.GROUND,
                half);
    }

    private ScreenSense.Way way() {
        return switch (fields.choice(IdleShape.SCREEN_WAY)) {
            case "measured" -> ScreenSense.Way.MEASURED;
            case "not-deducted" -> ScreenSense.Way.NOT_DEDUCTED;
            default -> ScreenSense.Way.TYPICAL;
        };
    }

    private OptionalDouble screenMilliamps(ScreenSense.Way way) {
        return way == ScreenSense.Way.MEASURED
                ? OptionalDouble.of(Unit.MILLIAMP.toSi(fields.required(IdleShape.SCREEN_MILLIAMPS)))
                : OptionalDouble.empty();
    }

    private double percent(JsonField field, boolean matters) {
        OptionalDouble given = fields.number(field);
        double usual = Unit.PERCENT.toSi(((Number) field.usual()).doubleValue());
        if (given.isEmpty() && matters) {
            assumptions.add(new IdleAssumption.TakenAs(field.name(), usual));
        }
        return given.isPresent() ? Unit.PERCENT.toSi(given.getAsDouble()) : usual;
    }

    /** The customary window of the kind of bias, held against the rating. */
    private static Goal goal(String bias, TubeType type, Rating rating) {
        Topology topology = bias.equals("single-ended") ? Topology.SINGLE_ENDED : Topology.PUSH_PULL;
        BiasKind kind = bias.equals("cathode") ? BiasKind.CATHODE_EACH : BiasKind.FIXED_ADJUSTABLE;
        return new Goal(new AmpDefaults(topology, kind, type, 1, false).sheet(), rating, true);
    }

    private void assume(IdleProblem problem, TubeType type, Rating rating, String bias) {
        assumptions.add(new IdleAssumption.RatingOf(rating.provenance()));
        boolean ground = problem.plate().reference() == PlateSense.Reference.GROUND;
        CurrentMethod method = problem.sense().method();
        if (ground
                && problem.cathodeVolts().isEmpty()
                && method != CurrentMethod.CATHODE_RESISTOR
                && !bias.equals("fixed")) {
            assumptions.add(new IdleAssumption.CathodeMayStandAbove());
        }
        if (problem.sharedBy() > 1) {
            assumptions.add(new IdleAssumption.AverageOf(problem.sharedBy()));
        }
        if (method == CurrentMethod.HALF_PRIMARY) {
            double warm = problem.senseReading()
                    / (problem.sense().ohms().getAsDouble() * (1 + 25 * IdleCalculation.COPPER))
                    / problem.sharedBy();
            assumptions.add(new IdleAssumption.CopperTakenCold(warm));
        }
        if (problem.way() == ScreenSense.Way.TYPICAL && type.screenShare() > 0) {
            assumptions.add(new IdleAssumption.TypicalScreen(type.screenShare()));
        }
        if (problem.way() == ScreenSense.Way.NOT_DEDUCTED && method.yields() == CurrentMethod.Yields.PLATE) {
            assumptions.add(new IdleAssumption.ScreenNotKnown());
        }
    }
}
