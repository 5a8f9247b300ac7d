package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.LastRead;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * One channel of an amp as an output stage. Tubes of a type scatter, so the idle current that was read counts, and the
 * grid volts are those at which the model draws it.
 *
 * @param stage the stage
 * @param assumed what was not known, and what was taken for it
 */
public record AmpStage(OutputStage stage, List<StageFinding> assumed) {

    private static final double SCREENS_BELOW = 5;
    /** Of their mean: beyond it one side carries next to nothing, and there is no pair to compute. */
    public static final double MOST_APART = 1.9;
    /** Sides nearer than this are alike. */
    static final double ALIKE = 0.005;

    private static final double USUAL_PLATES = 300;
    private static final double USUAL_LOAD = 6600;
    private static final double USUAL_SINGLE_LOAD = 5000;

    public AmpStage {
        assumed = List.copyOf(assumed);
    }

    /** @param model of the type */
    public static AmpStage of(AmpSheet sheet, LastRead read, TubeType type, TubeModel model) {
        List<StageFinding> assumed = new ArrayList<>();
        boolean pushPull = sheet.topology() == Topology.PUSH_PULL;
        double plate = known(
                read.plateVolts(),
                published(type, pushPull)
                        .mapToDouble(PublishedOperation::plateVolts)
                        .findFirst()
                        .orElse(USUAL_PLATES),
                StageFinding.PlatesTaken::new,
                assumed);
        Connection connection =
                model.isTriode() ? Connection.TRIODE : sheet.screen().connection();
        double screen = connection != Connection.PENTODE
                ? plate
                : known(read.screenVolts(), plate - SCREENS_BELOW, StageFinding.ScreensTaken::new, assumed);
        double rated = sheet.rating(type).plateWatts();
        Target asked = new Goal(sheet, sheet.rating(type), sheet.isOf(type)).window();
        Target target = asked.school().basis() == School.Basis.PERCENT
                ? asked
                : Target.customary(sheet.bias(), sheet.topology());
        double usual = usualLoad(type, pushPull) / sheet.tubesPerSide();
        double load = known(sheet.fittings().loadOhms(), usual, StageFinding.LoadTaken::new, assumed);
        double copper = sheet.fittings().iron().copperOhms().orElse(0) / (pushPull ? 2 : 1);
        OutputStage fixed = new OutputStage(
                model,
                sheet.topology(),
                Math.min(OutputStage.MOST_PER_SIDE, sheet.tubesPerSide()),
                plate,
                screen,
                connection,
                sheet.screen().tap().orElse(OutputStage.USUAL_TAP),
                OutputStage.Bias.fixed(0),
                load,
                new OutputStage.Losses(
                        copper, 0, 0, 0, sheet.screen().stopperOhms().orElse(0)));
        if (sheet.tubesPerSide() > OutputStage.MOST_PER_SIDE) {
            assumed.add(new StageFinding.FewerTubes(OutputStage.MOST_PER_SIDE, sheet.tubesPerSide()));
        }
        OptionalDouble ohms = sheet.bias().isCathode() ? cathodeOhms(sheet, fixed.tubes()) : OptionalDouble.empty();
        if (read.plateAmps().isEmpty() && ohms.isPresent()) {
            return new AmpStage(fixed.with(OutputStage.Bias.cathode(ohms.getAsDouble())), assumed);
        }
        double idle = known(read.plateAmps(), target.aim() * rated / plate, StageFinding.IdleTaken::new, assumed);
        double most = model.plateCurrent(plate, fixed.screenVolts(), 0);
        if (idle > most) {
            assumed.add(new StageFinding.IdleBeyondEdge(most, idle));
        }
        return new AmpStage(atIdle(fixed, idle, sheet.bias().isCathode()), assumed);
    }

    /** The sheet’s cathode resistors as one that all tubes of the stage share, ohm. */
    private static OptionalDouble cathodeOhms(AmpSheet sheet, int tubes) {
        if (sheet.current().method() != CurrentMethod.CATHODE_RESISTOR
                || sheet.current().ohms().isEmpty()) {
            return OptionalDouble.empty();
        }
        double sharedBy = (double) sheet.sockets().size() / sheet.testPoints().size();
        return OptionalDouble.of(sheet.current().ohms().getAsDouble() * sharedBy / tubes);
    }

    private static Stream<PublishedOperation> published(TubeType type, boolean pushPull) {
        return TubeModels.published().operations(type, pushPull).stream();
    }

    /** What one tube at an end of the primary is loaded with, as published for the type if anything is, ohm. */
    public static double usualLoad(TubeType type, boolean pushPull) {
        return published(type, pushPull)
                .mapToDouble(PublishedOperation::loadOhms)
                .findFirst()
                .orElse(pushPull ? USUAL_LOAD : USUAL_SINGLE_LOAD);
    }

    /** A stage that idles at a plate current of each tube: at the grid volts for it, made by a resistor if wanted. */
    public static OutputStage atIdle(OutputStage stage, double plateAmps, boolean cathodeBias) {
        double grid = stage.gridFor(plateAmps);
        OutputStage fixed = stage.with(OutputStage.Bias.fixed(grid));
        if (!cathodeBias) {
            return fixed;
        }
        Idle idle = Idle.of(fixed);
        return stage.with(
                OutputStage.Bias.cathode(Math.max(1e-3, -grid) / (idle.allPlateAmps() + idle.allScreenAmps())));
    }

    /**
     * A push-pull stage of which one side draws more than the other at the same grid volts.
     *
     * @param ratio the upper side’s plate current less the lower side’s, of their mean
     */
    public static OutputStage apart(OutputStage alike, double ratio) {
        TubeModel model = alike.model();
        return Math.abs(ratio) < ALIKE
                ? alike
                : alike.with(model.scaled(1 + ratio / 2))
                        .with(new OutputStage.OtherSide(model.scaled(1 - ratio / 2), 0));
    }

    /**
     * The same as it really stands: with one side drawing more than the other, on its own supply.
     *
     * @param sidesApart as {@link LastRead#sidesApart}
     * @param supplyOhms of the supply; empty for a stiff one
     * @param restAmps what the rest of the amp draws behind the screens, A
     */
    public AmpStage asRead(OptionalDouble sidesApart, OptionalDouble supplyOhms, double restAmps) {
        List<StageFinding> taken = new ArrayList<>(assumed);
        double apart = stage.isPushPull() ? sidesApart.orElse(0) : 0;
        if (Math.abs(apart) > MOST_APART) {
            taken.add(new StageFinding.OneSideHardlyDraws());
            apart = 0;
        }
        OutputStage sided = apart(stage, apart);
        boolean known = supplyOhms.isPresent() && supplyOhms.getAsDouble() <= SupplySag.MOST;
        return new AmpStage(known ? SupplySag.of(sided, supplyOhms.getAsDouble(), restAmps) : sided, taken);
    }

    private static double known(
            OptionalDouble value, double instead, DoubleFunction<StageFinding> taken, List<StageFinding> assumed) {
        if (value.isEmpty()) {
            assumed.add(taken.apply(instead));
        }
        return value.orElse(instead);
    }
}
