package yellowrail.web.api;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
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
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Faults;

/** Makes a problem for the core of a request, noting every fault and every assumption. */
final class IdleRequestReader {

    private static final Set<String> KNOWN = Arrays.stream(IdleRequest.class.getRecordComponents())
            .map(component -> component.getName())
            .collect(Collectors.toUnmodifiableSet());
    private static final double METER_PERCENT = 0.5;
    private static final double TOLERANCE_PERCENT = 1;

    private final JsonFields fields;
    private final TubeCatalogue catalogue;
    private final Faults faults;
    private final List<String> assumptions = new ArrayList<>();

    /** What was asked: the readings, and what to judge them by. */
    record Asked(IdleProblem problem, Goal goal, List<String> assumptions) {}

    IdleRequestReader(JsonFields fields, TubeCatalogue catalogue, Faults faults) {
        this.fields = fields;
        this.catalogue = catalogue;
        this.faults = faults;
    }

    /** @return what was asked; null if there are faults */
    Asked read() {
        fields.only(KNOWN);
        TubeType type = fields.tubeType("tubeType", catalogue);
        CurrentMethod method = method();
        PlateSense plate = plate(method);
        ScreenSense.Way way = way();
        boolean volts = method.acrossResistance();
        double reading = volts
                ? fields.required("senseVolts", 1e-6, 1000, "volts across the resistance")
                : Unit.MILLIAMP.toSi(fields.required("milliamps", 1e-3, 5000, "the current the meter shows"));
        OptionalDouble ohms = volts ? OptionalDouble.of(ohms(method)) : OptionalDouble.empty();
        double plateVolts = fields.required("plateVolts", 1, 5000, "plate voltage as read");
        OptionalDouble cathodeVolts = fields.number("cathodeVolts", 0, 1000);
        OptionalDouble shared = fields.number("sharedBy", 1, 16);
        if (shared.isPresent() && shared.getAsDouble() != Math.rint(shared.getAsDouble())) {
            faults.add(
                    "sharedBy",
                    "Expected a whole number of tubes from 1 to 16, got %s.".formatted(shared.getAsDouble()));
        }
        double tolerance = percent("senseTolerancePercent", 50, TOLERANCE_PERCENT, volts);
        double meter = percent("meterPercent", 20, METER_PERCENT, true);
        OptionalDouble screen = screenMilliamps(way);
        OptionalDouble own = fields.number("paMaxWatts", 0.1, 1000);
        String bias = fields.choice("biasKind", List.of("fixed", "cathode", "single-ended"), true);
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
                (int) shared.orElse(1),
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
        return switch (fields.choice(
                "method",
                List.of("cathode-sense", "cathode-milliamps", "plate-milliamps", "cathode-bias", "half-primary-drop"),
                false)) {
            case "cathode-milliamps" -> CurrentMethod.SOCKET_ADAPTER;
            case "plate-milliamps" -> CurrentMethod.PLATE_ADAPTER;
            case "cathode-bias" -> CurrentMethod.CATHODE_RESISTOR;
            case "half-primary-drop" -> CurrentMethod.HALF_PRIMARY;
            default -> CurrentMethod.SENSE_EACH;
        };
    }

    private double ohms(CurrentMethod method) {
        boolean primaryOnly = method == CurrentMethod.HALF_PRIMARY && !fields.has("senseOhms");
        return fields.required(
                primaryOnly && fields.has("halfPrimaryOhms") ? "halfPrimaryOhms" : "senseOhms",
                0.01,
                100_000,
                "ohms of the resistance that senseVolts was read across");
    }

    private PlateSense plate(CurrentMethod method) {
        boolean bPlus =
                fields.choice("platePoint", List.of("plate", "b-plus"), true).equals("b-plus");
        boolean cathode = fields.choice("plateReference", List.of("ground", "cathode"), true)
                .equals("cathode");
        OptionalDouble half = fields.number("halfPrimaryOhms", 0.01, 100_000);
        if (bPlus && method != CurrentMethod.HALF_PRIMARY && !fields.has("halfPrimaryOhms")) {
            faults.add("halfPrimaryOhms", "Missing: at b-plus the drop in the half primary has to come off.");
        }
        return new PlateSense(
                bPlus ? PlateSense.Point.B_PLUS : PlateSense.Point.PLATE,
                cathode ? PlateSense.Reference.CATHODE : PlateSense.Reference.GROUND,
                half);
    }

    private ScreenSense.Way way() {
        return switch (fields.choice("screenWay", List.of("typical", "measured", "not-deducted"), true)) {
            case "measured" -> ScreenSense.Way.MEASURED;
            case "not-deducted" -> ScreenSense.Way.NOT_DEDUCTED;
            default -> ScreenSense.Way.TYPICAL;
        };
    }

    private OptionalDouble screenMilliamps(ScreenSense.Way way) {
        if (way == ScreenSense.Way.MEASURED) {
            return OptionalDouble.of(Unit.MILLIAMP.toSi(
                    fields.required("screenMilliamps", 0, 1000, "screen current, since screenWay is measured")));
        }
        fields.number("screenMilliamps", 0, 1000);
        return OptionalDouble.empty();
    }

    private double percent(String field, double most, double usual, boolean matters) {
        OptionalDouble given = fields.number(field, 0, most);
        if (given.isEmpty() && matters) {
            assumptions.add("%s not given: taken as %s %%.".formatted(field, usual));
        }
        return Unit.PERCENT.toSi(given.orElse(usual));
    }

    /** The customary window of the kind of bias, held against the rating. */
    private static Goal goal(String bias, TubeType type, Rating rating) {
        Topology topology = bias.equals("single-ended") ? Topology.SINGLE_ENDED : Topology.PUSH_PULL;
        BiasKind kind = bias.equals("cathode") ? BiasKind.CATHODE_EACH : BiasKind.FIXED_ADJUSTABLE;
        return new Goal(new AmpDefaults(topology, kind, type, 1, false).sheet(), rating, true);
    }

    private void assume(IdleProblem problem, TubeType type, Rating rating, String bias) {
        assumptions.add("Rating: %s.".formatted(rating.provenance()));
        boolean ground = problem.plate().reference() == PlateSense.Reference.GROUND;
        CurrentMethod method = problem.sense().method();
        if (ground
                && problem.cathodeVolts().isEmpty()
                && method != CurrentMethod.CATHODE_RESISTOR
                && !bias.equals("fixed")) {
            assumptions.add("Plate voltage to ground and no cathodeVolts: the cathode may stand above ground, and the "
                    + "figure is then too high.");
        }
        if (problem.sharedBy() > 1) {
            assumptions.add(
                    "An average of %d tubes: it hides the mismatch between them.".formatted(problem.sharedBy()));
        }
        if (method == CurrentMethod.HALF_PRIMARY) {
            double warm = problem.senseReading()
                    / (problem.sense().ohms().getAsDouble() * (1 + 25 * IdleCalculation.COPPER))
                    / problem.sharedBy();
            assumptions.add(("The resistance is taken cold; with the copper at 45 instead of 20 \u00b0C "
                            + "it is %s plate current per tube.")
                    .formatted(Figures.milliamps(warm)));
        }
        if (problem.way() == ScreenSense.Way.TYPICAL && type.screenShare() > 0) {
            assumptions.add("Screen current: typical share of %s of cathode current, tubes differ by 30 %% of it."
                    .formatted(Figures.percent(type.screenShare())));
        }
        if (problem.way() == ScreenSense.Way.NOT_DEDUCTED && method.yields() == CurrentMethod.Yields.PLATE) {
            assumptions.add("Screen current is not known: cathode current is at least this.");
        }
    }
}
