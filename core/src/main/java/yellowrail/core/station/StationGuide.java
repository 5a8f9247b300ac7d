package yellowrail.core.station;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Topology;

/**
 * What to do at a station of this amp, what to measure, and the cautions that belong there.
 *
 * @param station where
 * @param say the station in one sentence
 * @param todo in the order of work
 * @param measure what to read, as it is typed where it can be
 * @param cautions at this step
 */
public record StationGuide(
        Station station,
        StationFinding say,
        List<StationFinding> todo,
        List<StationFinding> measure,
        List<StationFinding> cautions) {

    public StationGuide {
        todo = List.copyOf(todo);
        measure = List.copyOf(measure);
        cautions = List.copyOf(cautions);
    }

    public static StationGuide of(Station station, AmpSheet sheet) {
        return switch (station) {
            case PLAN -> plan(sheet);
            case MAKE_SAFE -> makeSafe(sheet);
            case TUBES -> tubes(sheet);
            case POWER_UP -> powerUp(sheet);
            case MEASURE -> measure(sheet);
            case SET -> set(sheet);
            case SOAK ->
                new StationGuide(
                        station,
                        new StationFinding.DoNotWalkAway(),
                        List.of(
                                new StationFinding.SettlingIsNormal(),
                                new StationFinding.TubeOrSocket(),
                                new StationFinding.PlayItHard()),
                        List.of(new StationFinding.EachTime(sheet.testPoints().get(0))),
                        List.of(new StationFinding.GlowingPlate()));
            case PROVE ->
                new StationGuide(
                        station,
                        new StationFinding.ProveIt(),
                        List.of(new StationFinding.PowerDistortionHum(), new StationFinding.ByEar()),
                        typed("clips 16.9 Vrms 8R 1k", "thd 0.7% 1W 1k", "hum 2.4mV"),
                        List.of(new StationFinding.DummyLoadHot(), new StationFinding.Licensed()));
            case CLOSE ->
                new StationGuide(
                        station,
                        new StationFinding.CloseTheRun(),
                        List.of(
                                new StationFinding.SwitchOff(),
                                new StationFinding.NoteTiers(),
                                new StationFinding.LookAgain()),
                        typed("off", "must 2 x coupling capacitor 22n at V2"),
                        List.of(new StationFinding.CapacitorsStayCharged()));
        };
    }

    private static List<StationFinding> typed(String... lines) {
        return List.of(lines).stream()
                .<StationFinding>map(StationFinding.AsTyped::new)
                .toList();
    }

    private static StationGuide plan(AmpSheet sheet) {
        List<StationFinding> todo = new ArrayList<>();
        todo.add(new StationFinding.TheAmp(
                sheet.told(),
                sheet.mainsVolts(),
                sheet.target().told(sheet.current().shows())));
        todo.add(howTo(sheet.current()));
        if (sheet.bias() == BiasKind.FIXED_ADJUSTABLE && sheet.pots().isEmpty()) {
            todo.add(new StationFinding.NoPotOnSheet());
        }
        return new StationGuide(
                Station.PLAN,
                new StationFinding.StillThisAmp(),
                todo,
                List.of(),
                List.of(new StationFinding.Licensed()));
    }

    /** How current is read, and what to know where the amp offers no sense resistor. */
    private static StationFinding howTo(CurrentSense sense) {
        CurrentMethod method = sense.method();
        return switch (method) {
            case HALF_PRIMARY -> new StationFinding.ReadByHalfPrimary(method);
            case SUPPLY_DROP -> new StationFinding.ReadBySupplyDrop(method);
            case CATHODE_RESISTOR -> new StationFinding.ReadByCathodeResistor(method);
            case SOCKET_ADAPTER, PLATE_ADAPTER -> new StationFinding.ReadByAdapter(method);
            case PANEL_METER, SENSE_EACH, SENSE_SHARED, STAGE_TEST_POINT -> new StationFinding.ReadBy(method);
        };
    }

    private static StationGuide makeSafe(AmpSheet sheet) {
        List<StationFinding> cautions =
                new ArrayList<>(List.of(new StationFinding.Licensed(), new StationFinding.Drained()));
        if (sheet.supply().standby()) {
            cautions.add(new StationFinding.DrainThroughStandby());
        }
        return new StationGuide(
                Station.MAKE_SAFE,
                new StationFinding.NothingBeforeSafe(),
                List.of(new StationFinding.TickEachItem()),
                List.of(),
                cautions);
    }

    private static StationGuide tubes(AmpSheet sheet) {
        List<StationFinding> todo = new ArrayList<>(List.of(new StationFinding.LookAtTubes()));
        if (sheet.sockets().size() > 1) {
            todo.add(
                    sheet.topology() == Topology.PUSH_PULL
                            ? new StationFinding.WhoSitsWhereBothSides()
                            : new StationFinding.WhoSitsWhere());
        }
        if (sheet.bias() == BiasKind.FIXED_ADJUSTABLE) {
            todo.add(new StationFinding.NewTubesFromCold());
        }
        todo.add(new StationFinding.TapLightly());
        return new StationGuide(
                Station.TUBES,
                new StationFinding.RightTubes(),
                todo,
                List.of(
                        new StationFinding.NewTube(sheet.sockets().get(0).label(), sheet.tubeType()),
                        new StationFinding.NoteRinging()),
                List.of(new StationFinding.OffBeforePulling(), new StationFinding.TubesStayHot()));
    }

    private static StationGuide powerUp(AmpSheet sheet) {
        List<StationFinding> todo =
                new ArrayList<>(List.of(new StationFinding.LampLimiter(), new StationFinding.HeatersFirst()));
        todo.add(
                switch (sheet.supply().rectifier()) {
                    case TUBE -> new StationFinding.RectifierWarmsUp();
                    case SILICON, UNKNOWN -> new StationFinding.PeakBeforeTubes();
                });
        todo.add(sheet.supply().standby() ? new StationFinding.StandbyThenOn() : new StationFinding.OnWithTheMains());
        return new StationGuide(
                Station.POWER_UP,
                new StationFinding.BringItUp(),
                todo,
                typed("heater 6.9 bare", "heater 6.42", "mains 119.6", "on", "plate 495 unloaded"),
                List.of(new StationFinding.OneHand(), new StationFinding.LimiterLimitsCurrent()));
    }

    private static StationGuide measure(AmpSheet sheet) {
        List<StationFinding> measure = new ArrayList<>(
                List.of(new StationFinding.AndEachOther(sheet.testPoints().get(0))));
        measure.addAll(typed("plate", "mains"));
        if (!sheet.bias().isCathode()) {
            measure.add(new StationFinding.BiasToLearnReach());
        }
        if (sheet.current().method() == CurrentMethod.CATHODE_RESISTOR) {
            measure.add(new StationFinding.ResistorPowerOff());
        }
        return new StationGuide(
                Station.MEASURE,
                new StationFinding.ReadEveryPoint(),
                List.of(new StationFinding.LetItWarmUp(sheet.settleMinutes() * 60)),
                measure,
                List.of(new StationFinding.ProbeWithCare()));
    }

    private static StationGuide set(AmpSheet sheet) {
        return switch (sheet.bias()) {
            case FIXED_ADJUSTABLE ->
                new StationGuide(
                        Station.SET,
                        new StationFinding.TurnToTheReading(),
                        List.of(new StationFinding.WatchTheMeter(), new StationFinding.ThenBalance()),
                        List.of(new StationFinding.SwingToOneStop(), new StationFinding.SwingToTheOther()),
                        List.of(new StationFinding.InsulatedScrewdriver()));
            case FIXED ->
                new StationGuide(
                        Station.SET,
                        new StationFinding.NoPotHere(),
                        List.of(new StationFinding.ChangeOneValue()),
                        typed("bias -46.8"),
                        List.of(new StationFinding.Drained()));
            case CATHODE_SHARED, CATHODE_EACH ->
                new StationGuide(
                        Station.SET,
                        new StationFinding.CathodeBiasHere(),
                        List.of(new StationFinding.IdleIsHottest(), new StationFinding.ResistorForTwice()),
                        typed("rk off 121.3"),
                        List.of(new StationFinding.Drained()));
        };
    }
}
