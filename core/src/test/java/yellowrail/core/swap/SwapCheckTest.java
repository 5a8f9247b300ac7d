package yellowrail.core.swap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.Told;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.bias.Supplies;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.idle.LastRead;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.Element;
import yellowrail.core.tube.model.ModelFinding;
import yellowrail.core.tube.model.TubeModels;

class SwapCheckTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    static OptionalDouble of(double value) {
        return OptionalDouble.of(value);
    }

    static Fittings fittings(PinOne pinOne, String tied) {
        return new Fittings(
                of(5),
                of(1.2),
                "GZ34",
                of(40e-6),
                of(0.250),
                NO,
                NO,
                of(115),
                of(45),
                of(220_000),
                of(4000),
                of(-56),
                of(-34),
                of(48),
                NO,
                tied,
                pinOne,
                "",
                Iron.UNKNOWN);
    }

    static SwapAmp amp(int tubes, double volts, Fittings fittings) {
        return new SwapAmp(
                Topology.PUSH_PULL,
                BiasKind.FIXED_ADJUSTABLE,
                ScreenSense.Connection.PENTODE,
                tubes,
                1,
                of(volts),
                of(volts),
                of(0.036),
                of(-46.8),
                NO,
                1,
                NO,
                of(0.020),
                NO,
                Target.FIXED_BIAS,
                fittings);
    }

    private static SwapReport swap(SwapAmp amp, String in, String wants) {
        return new SwapCheck(amp, Amps.type(in)).of(Amps.type(wants));
    }

    static Line line(SwapReport report, SwapQuestion question) {
        return report.lines().stream()
                .filter(line -> line.question() == question)
                .findFirst()
                .orElseThrow();
    }

    /** The one thing a line says, if it is of that kind. */
    static <F extends Finding> F says(Line line, Class<F> kind) {
        return Told.one(line.says(), kind);
    }

    private static Line heaters(SwapAmp amp, String in, String wants) {
        return line(swap(amp, in, wants), SwapQuestion.HEATER_WINDING);
    }

    /** 4 x 0.45 + 4 x 0.3 = 3.0 A of 5; 4 x 0.9 + 1.2 = 4.8; 4 x 1.5 + 1.2 = 7.2. */
    @Test
    void theHeaterBudgetOfAFiveAmpereWinding() {
        SwapAmp amp = amp(4, 300, fittings(PinOne.UNKNOWN, ""));
        CurrentFinding.WindingHolds holds = says(heaters(amp, "6L6GC", "6V6GTA"), CurrentFinding.WindingHolds.class);
        assertThat(holds.of()).isEqualTo(new CurrentFinding.OfWinding(3.0, 5));
        assertThat(holds.inHand()).isCloseTo(0.40, within(1e-9));
        assertThat(says(heaters(amp, "6V6GTA", "6L6GC"), CurrentFinding.WindingHoldsBarely.class)
                        .inHand())
                .isCloseTo(0.04, within(1e-9));
        Line tooMuch = heaters(amp, "6L6GC", "EL34");
        assertThat(tooMuch.outcome()).isEqualTo(Outcome.STOP);
        assertThat(says(tooMuch, CurrentFinding.WindingTooWeak.class).tooMuch()).isCloseTo(2.2, within(1e-9));
        CurrentFinding.HeaterSum sum = Told.one(tooMuch.arithmetic(), CurrentFinding.HeaterSum.class);
        assertThat(sum.tubes()).isEqualTo(new CurrentFinding.HeatersTogether(4, 1.5, 6));
        assertThat(sum.rest()).isEqualTo(new CurrentFinding.AndElse(1.2));
    }

    @Test
    void sixVSixesIntoSocketsForBiggerTubesAreStopped() {
        SwapReport report = swap(amp(2, 425, fittings(PinOne.UNKNOWN, "")), "6L6GC", "6V6GT");
        assertThat(report.verdict()).isEqualTo(SwapReport.Verdict.DO_NOT);
        assertThat(line(report, SwapQuestion.PLATE_VOLTS).says())
                .isEqualTo(List.of(new LimitFinding.OverLimit(425, "6V6GT", 315)));
        assertThat(line(report, SwapQuestion.SCREEN_VOLTS).says())
                .isEqualTo(List.of(new LimitFinding.OverLimit(425, "6V6GT", 285)));
        assertThat(report.says())
                .isEqualTo(List.of(new SwapFinding.DoNot(
                        "6V6GT", "6L6GC", List.of(SwapQuestion.PLATE_VOLTS, SwapQuestion.SCREEN_VOLTS))));
    }

    @Test
    void aPentodeIntoBeamTubeSocketsWantsItsSuppressorTied() {
        SwapReport report = swap(amp(2, 425, fittings(PinOne.UNKNOWN, "")), "6L6GC", "EL34");
        assertThat(line(report, SwapQuestion.BASE).outcome()).isEqualTo(Outcome.CHANGE);
        assertThat(line(report, SwapQuestion.BASE).says())
                .isEqualTo(List.of(new PinFinding.SuppressorToTieUnlessDone("1", "EL34", "6L6GC")));
        assertThat(line(swap(amp(2, 425, fittings(PinOne.NOTHING, "")), "6L6GC", "EL34"), SwapQuestion.BASE)
                        .says())
                .isEqualTo(List.of(new PinFinding.SuppressorToTie("1", "EL34", "6L6GC")));
        assertThat(line(swap(amp(2, 425, fittings(PinOne.CATHODE, "")), "6L6GC", "EL34"), SwapQuestion.BASE)
                        .outcome())
                .isEqualTo(Outcome.HOLDS);
    }

    @Test
    void theGridVoltsComeFromTheModelWithTheirSpread() {
        Line grid = line(swap(amp(2, 425, fittings(PinOne.UNKNOWN, "")), "6L6GC", "EL34"), SwapQuestion.GRID_VOLTS);
        BiasFinding.AboutVolts about = (BiasFinding.AboutVolts) grid.figure().orElseThrow();
        assertThat(about.volts()).isBetween(-41.0, -30.0);
        assertThat(about.plusMinus()).isEqualTo(6);
        BiasFinding.Reaches reaches = says(grid, BiasFinding.Reaches.class);
        assertThat(reaches.before())
                .hasValueSatisfying(before ->
                        assertThat(((BiasFinding.AndBefore) before).volts()).isBetween(-50.0, -40.0));
        assertThat(new double[] {reaches.coldest(), reaches.hottest()}).containsExactly(-56, -34);
        assertThat(Told.one(grid.arithmetic(), BiasFinding.GridByModel.class).grid())
                .isEqualTo(about.volts());
        assertThat(says(grid, BiasFinding.SetFromCold.class).to()).isInstanceOf(SwapFinding.Each.class);
        assertThat(says(grid, BiasFinding.IfLeft.class).grid()).isEqualTo(-46.8);
        assertThat(Told.one(grid.source(), BiasFinding.ModelSource.class).model())
                .isInstanceOf(ModelFinding.FittedToFew.class);
    }

    private static List<Finding> pins(PinOne pinOne, String tied, String in, String wants) {
        return line(swap(amp(2, 400, fittings(pinOne, tied)), in, wants), SwapQuestion.BASE)
                .says();
    }

    @Test
    void wiringAtPinsDecides() {
        assertThat(pins(PinOne.UNKNOWN, "1, 6", "6L6GC", "EL34"))
                .isEqualTo(List.of(new PinFinding.PinIsTiePoint("1", "EL34", List.of(Element.SUPPRESSOR))));
        Line second = line(swap(amp(2, 400, fittings(PinOne.CATHODE, "")), "6L6GC", "7027A"), SwapQuestion.BASE);
        assertThat(second.outcome()).isEqualTo(Outcome.STOP);
        assertThat(second.says())
                .isEqualTo(List.of(new PinFinding.PinWouldBeShorted(PinOne.CATHODE, "7027A", List.of(Element.SCREEN))));
        assertThat(pins(PinOne.GROUND, "", "6L6GC", "EL34")).isEqualTo(List.of(new PinFinding.SuppressorOnGround("1")));
        assertThat(pins(PinOne.UNKNOWN, "", "EL84", "EL34"))
                .isEqualTo(List.of(new PinFinding.AnotherBase("EL34", Base.OCTAL, Base.NOVAL)));
        assertThat(pins(PinOne.UNKNOWN, "", "6L6GC", "7591A"))
                .isEqualTo(List.of(new PinFinding.PinOutOfItsOwn("7591A")));
        assertThat(pins(PinOne.UNKNOWN, "", "EL34", "6L6GC"))
                .isEqualTo(List.of(new PinFinding.PinsCarryTheSame("6L6GC")));
    }

    @Test
    void highMainsLeavesAMargin() {
        Line plate = line(swap(amp(2, 470, fittings(PinOne.UNKNOWN, "")), "EL34", "6L6GC"), SwapQuestion.PLATE_VOLTS);
        assertThat(plate.outcome()).isEqualTo(Outcome.CHANGE);
        LimitFinding.OverAtHighMains over = says(plate, LimitFinding.OverAtHighMains.class);
        assertThat(over.high()).isCloseTo(517, within(1e-9));
        assertThat(over.bringTo()).isCloseTo(500 / 1.1, within(1e-9));
        Line centre = line(swap(amp(2, 390, fittings(PinOne.UNKNOWN, "")), "6L6GC", "KT66"), SwapQuestion.PLATE_VOLTS);
        assertThat(centre.outcome())
                .as("a design-centre figure leaves room for the mains")
                .isEqualTo(Outcome.HOLDS);
        assertThat(says(centre, LimitFinding.AllowedForMains.class).limit()).isEqualTo(400);
    }

    /** 400 x 36 mA x 0.955 = 13.75 W, 39 % of 35 W; 62 % of 35 W at 400 V is 56.8 mA. */
    @Test
    void theNewWindowTheLeakTheRoomAndTheRailAreToldWithTheirNumbers() {
        SwapReport report = swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "6L6GC", "KT88");
        LimitFinding.StandsToBeSet idle =
                says(line(report, SwapQuestion.IDLE_DISSIPATION), LimitFinding.StandsToBeSet.class);
        assertThat(idle.what()).isEqualTo(new LimitFinding.PresentCurrent(0.036));
        assertThat(idle.watts()).isCloseTo(13.75, within(0.005));
        assertThat(idle.ratio()).isCloseTo(0.393, within(5e-4));
        assertThat(idle.setTo()).isCloseTo(0.05681, within(5e-6));
        assertThat(line(report, SwapQuestion.GRID_LEAK).outcome()).isEqualTo(Outcome.HOLDS);
        FitFinding.BulbTooLarge bulb = says(line(report, SwapQuestion.BULB), FitFinding.BulbTooLarge.class);
        assertThat(((FitFinding.TooHigh) bulb.by().get(0)).by()).isCloseTo(0.010, within(1e-9));
        assertThat(((FitFinding.TooWide) bulb.by().get(1)).by()).isCloseTo(0.007, within(1e-9));
        assertThat(says(line(report, SwapQuestion.CATHODE_CURRENT), LimitFinding.CathodeCurrent.class)
                        .limit())
                .isEqualTo(0.230);
        CurrentFinding.RailWithin rail = says(line(report, SwapQuestion.RAIL_CURRENT), CurrentFinding.RailWithin.class);
        assertThat(rail.amps()).isCloseTo(0.13361, within(5e-6));
        assertThat(rail.parts())
                .isEqualTo(List.of(
                        new CurrentFinding.Transformer(0.250), new CurrentFinding.RectifierTube("GZ34", 0.250)));
        assertThat(line(report, SwapQuestion.LOAD).outcome()).isEqualTo(Outcome.HOLDS);
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "KT88", "6550A"), SwapQuestion.GRID_LEAK)
                        .says())
                .isEqualTo(List.of(new BiasFinding.LeakTo(220_000, 50_000)));
        assertThat(line(report, SwapQuestion.POWER).says().get(0))
                .isInstanceOfAny(FitFinding.PowerAlike.class, FitFinding.PowerMore.class, FitFinding.PowerLess.class);
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "6L6GC", "KT77"), SwapQuestion.POWER)
                        .says())
                .isEqualTo(List.of(new SwapFinding.NoModel("KT77")));
        assertThat(report.lines()).allSatisfy(each -> assertThat(each.source()).isNotEmpty());
    }

    @Test
    void cathodeBiasNamesTheResistor() {
        SwapAmp amp = new SwapAmp(
                Topology.PUSH_PULL,
                BiasKind.CATHODE_SHARED,
                ScreenSense.Connection.PENTODE,
                2,
                1,
                of(300),
                of(300),
                of(0.035),
                of(-10),
                of(130),
                2,
                of(5),
                NO,
                NO,
                Target.CATHODE_BIAS,
                Fittings.UNKNOWN);
        Line resistor = line(swap(amp, "EL34", "KT77"), SwapQuestion.CATHODE_RESISTOR);
        assertThat(resistor.outcome()).as("no published points").isEqualTo(Outcome.UNKNOWN);
        SwapReport known = swap(amp, "6L6GC", "6V6GT");
        assertThat(line(known, SwapQuestion.CATHODE_RESISTOR).outcome()).isEqualTo(Outcome.CHANGE);
        assertThat(says(line(known, SwapQuestion.CATHODE_RESISTOR), BiasFinding.ResistorFromTo.class)
                        .ohms())
                .isEqualTo(130);
        assertThat(line(known, SwapQuestion.GRID_VOLTS).says())
                .singleElement()
                .isInstanceOf(BiasFinding.MadeByResistor.class);
        LimitFinding stands = says(line(known, SwapQuestion.IDLE_DISSIPATION), LimitFinding.StandsToBeSet.class)
                .what();
        assertThat(stands)
                .isInstanceOfSatisfying(
                        LimitFinding.WithPresentResistor.class,
                        with -> assertThat(TubeModels.published()
                                        .of(Amps.type("6V6GT"))
                                        .orElseThrow()
                                        .model()
                                        .cathodeCurrent(300, 300, -2 * 130 * with.each()))
                                .as("the resistor and the tube agree")
                                .isCloseTo(with.each(), within(1e-7)));
    }

    @Test
    void nothingKnownIsSaidAndNothingCrashes() {
        SwapAmp blank = new SwapAmp(
                Topology.SINGLE_ENDED,
                BiasKind.CATHODE_EACH,
                ScreenSense.Connection.PENTODE,
                1,
                1,
                NO,
                NO,
                NO,
                NO,
                NO,
                1,
                NO,
                NO,
                NO,
                Target.SINGLE_ENDED,
                Fittings.UNKNOWN);
        List<SwapReport> all = new SwapCheck(blank, Amps.type("KT88")).all(Amps.CATALOGUE);
        assertThat(all).hasSize(Amps.CATALOGUE.types().size() - 1);
        assertThat(all).allSatisfy(report -> assertThat(report.says()).isNotEmpty());
        assertThat(line(swap(blank, "KT88", "6L6GC"), SwapQuestion.OUTPUT_CURRENT)
                        .outcome())
                .isEqualTo(Outcome.UNKNOWN);
        assertThat(all.get(0).verdict()).isNotEqualTo(SwapReport.Verdict.DO_NOT);
        assertThat(all.get(all.size() - 1).verdict()).isEqualTo(SwapReport.Verdict.DO_NOT);
    }

    @Test
    void theAmpIsTakenFromItsSheetAndLastReadings() {
        AmpSheet sheet = Amps.pair().with(Fittings.UNKNOWN.withHeaters(4, 0.9));
        SwapAmp amp = SwapAmp.of(sheet, read(sheet, "V1 36.4", "V2 33.9", "plate 452", "bias -46.8", "screen 440"));
        assertThat(amp.plateVolts().getAsDouble()).isCloseTo(452, within(0.1));
        assertThat(amp.screenVolts().getAsDouble()).isCloseTo(440, within(0.1));
        assertThat(amp.biasVolts()).hasValue(-46.8);
        assertThat(amp.cathodeAmps().getAsDouble()).isCloseTo(0.03515, within(1e-6));
        assertThat(amp.fittings().heaterAmps()).hasValue(4);
        assertThat(SwapAmp.of(sheet, LastRead.of(Amps.stage(sheet), Optional.empty()))
                        .plateVolts())
                .isEmpty();
    }

    /** A kept supply tells the stops where nobody has read them: -45.7 to -31.4 V. */
    @Test
    void theStopsAreComputedOfTheSupplyThatIsKept() {
        AmpSheet sheet = Amps.pair().with(Optional.of(Supplies.tapped()));
        SwapAmp amp = SwapAmp.of(sheet, read(sheet, "V1 36.4", "V2 33.9", "plate 452", "bias -46.8"));
        assertThat(line(swap(amp, "6L6GC", "KT88"), SwapQuestion.GRID_VOLTS).source())
                .contains(new BiasFinding.StopsComputed());
        BiasStops stops = BiasStops.of(sheet).orElseThrow();
        assertThat(stops.coldest()).isCloseTo(-45.7, within(0.05));
        assertThat(stops.hottest()).isCloseTo(-31.4, within(0.05));
        assertThat(BiasStops.disagreement(sheet)).isEmpty();
    }

    private static LastRead read(AmpSheet sheet, String... lines) {
        return LastRead.of(
                Amps.stage(sheet), Optional.of(Amps.timeline(sheet, lines).present()));
    }

    @Test
    void aScreenThatCannotBeOneIsSaidAndNotUsed() {
        LastRead read = read(Amps.pair(), "V1 36.4", "V2 33.9", "plate 452", "screen 5");
        assertThat(read.screenVolts()).isEmpty();
        assertThat(read.unusable()).contains(new IdleFinding.ScreenUnusable(5));
        assertThat(read(Amps.pair(), "V1 36.4", "plate 452", "screen 440").unusable())
                .isEmpty();
    }

    @Test
    void whatToSetIsToldInTheMetersUnits() {
        SwapFinding shown = new SwapAmp.TestPoint(
                        "L", 2, CurrentSense.across(CurrentMethod.SENSE_SHARED, 15.6, 0.01, Unit.VOLT))
                .shown(0.0442);
        assertThat(shown)
                .isInstanceOfSatisfying(
                        SwapFinding.EachAt.class,
                        at -> assertThat(at.reading().si()).isCloseTo(1.379, within(5e-4)));
    }
}
