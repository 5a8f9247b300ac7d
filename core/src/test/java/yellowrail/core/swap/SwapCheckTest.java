package yellowrail.core.swap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.idle.LastRead;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.model.TubeModels;

class SwapCheckTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private static OptionalDouble of(double value) {
        return OptionalDouble.of(value);
    }

    private static Fittings fittings(PinOne pinOne, String tied) {
        return new Fittings(of(5), of(1.2), "GZ34", of(40e-6), of(0.250), NO, NO, of(115), of(45), of(220_000), of(4000), of(-56), of(-34), of(48), NO, tied, pinOne, "", Iron.UNKNOWN);
    }

    private static SwapAmp amp(int tubes, double volts, Fittings fittings) {
        return new SwapAmp(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, ScreenSense.Connection.PENTODE, tubes, 1, of(volts), of(volts), of(0.036), of(-46.8), NO, 1, NO, of(0.020), NO, Target.FIXED_BIAS, fittings);
    }

    private static SwapReport swap(SwapAmp amp, String in, String wants) {
        return new SwapCheck(amp, Amps.type(in)).of(Amps.type(wants));
    }

    private static Line line(SwapReport report, String question) {
        return report.lines().stream().filter(line -> line.question().equals(question)).findFirst().orElseThrow();
    }

    /** 4 x 0.45 + 4 x 0.3 = 3.0 A of 5; 4 x 0.9 + 1.2 = 4.8; 4 x 1.5 + 1.2 = 7.2. */
    @Test
    void theHeaterBudgetOfAFiveAmpereWinding() {
        SwapAmp amp = amp(4, 300, fittings(PinOne.UNKNOWN, ""));
        assertThat(line(swap(amp, "6L6GC", "6V6GTA"), "heater winding").says()).isEqualTo("3.0 A of 5 A: 40 % in hand.");
        assertThat(line(swap(amp, "6V6GTA", "6L6GC"), "heater winding").says()).isEqualTo("4.8 A of 5 A: 4 % in hand; nothing left when the mains is high.");
        Line tooMuch = line(swap(amp, "6L6GC", "EL34"), "heater winding");
        assertThat(tooMuch.outcome()).isEqualTo(Outcome.STOP);
        assertThat(tooMuch.says()).isEqualTo("7.2 A of 5 A: 2.2 A too much.");
        assertThat(tooMuch.arithmetic()).startsWith("4 \u00d7 1.5 A = 6 A, and 1.2 A else = 7.2 A of 5 A");
    }

    @Test
    void sixVSixesIntoSocketsForBiggerTubesAreStopped() {
        SwapReport report = swap(amp(2, 425, fittings(PinOne.UNKNOWN, "")), "6L6GC", "6V6GT");
        assertThat(report.verdict()).isEqualTo(SwapReport.Verdict.DO_NOT);
        assertThat(line(report, "plate voltage").says()).isEqualTo("425.0 V here, 6V6GT stands 315.0 V.");
        assertThat(line(report, "screen voltage").says()).isEqualTo("425.0 V here, 6V6GT stands 285.0 V.");
        assertThat(report.sentence()).isEqualTo("6V6GT for 6L6GC: do not, because of plate voltage, screen voltage.");
    }

    @Test
    void aPentodeIntoBeamTubeSocketsWantsItsSuppressorTied() {
        SwapReport report = swap(amp(2, 425, fittings(PinOne.UNKNOWN, "")), "6L6GC", "EL34");
        assertThat(line(report, "base and pin-out").outcome()).isEqualTo(Outcome.CHANGE);
        assertThat(line(report, "base and pin-out").says()).isEqualTo("Pin 1 of EL34 is its suppressor, which 6L6GC does not have: tie pin 1 to the cathode, pin 8, unless that is done already.");
        assertThat(line(swap(amp(2, 425, fittings(PinOne.CATHODE, "")), "6L6GC", "EL34"), "base and pin-out").outcome()).isEqualTo(Outcome.HOLDS);
        assertThat(line(report, "heater winding").arithmetic()).startsWith("2 \u00d7 1.5 A");
        Line grid = line(report, "grid volts");
        assertThat(grid.says()).matches("about -(3\\d|40)\\.\\d V \u00b1 6 V, where 6L6GC wants -4\\d\\.\\d V for its own; the bias gives -56.0 V to -34.0 V.*");
        assertThat(grid.arithmetic()).contains("model gives");
        assertThat(grid.says()).contains("Coldest end first, then set: ").contains("Left at the present -46.8 V it would draw about");
        assertThat(grid.source()).contains("Tube model fitted to published points: EL34 2 published points").contains("\u00b1 6 V");
    }

    @Test
    void wiringAtPinsDecides() {
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "1, 6")), "6L6GC", "EL34"), "base and pin-out").says()).startsWith("Pin 1 is used as a tie point");
        Line second = line(swap(amp(2, 400, fittings(PinOne.CATHODE, "")), "6L6GC", "7027A"), "base and pin-out");
        assertThat(second.outcome()).isEqualTo(Outcome.STOP);
        assertThat(second.says()).isEqualTo("Pin 1 is wired to the cathode; 7027A has its screen there, which would be shorted.");
        assertThat(line(swap(amp(2, 400, fittings(PinOne.GROUND, "")), "6L6GC", "EL34"), "base and pin-out").says()).contains("move it to the cathode");
        assertThat(line(swap(amp(2, 300, fittings(PinOne.UNKNOWN, "")), "EL84", "EL34"), "base and pin-out").says()).isEqualTo("EL34 has another base (octal) than the socket (noval).");
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "6L6GC", "7591A"), "base and pin-out").outcome()).isEqualTo(Outcome.STOP);
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "EL34", "6L6GC"), "base and pin-out").outcome()).isEqualTo(Outcome.HOLDS);
    }

    @Test
    void highMainsLeavesAMargin() {
        Line plate = line(swap(amp(2, 470, fittings(PinOne.UNKNOWN, "")), "EL34", "6L6GC"), "plate voltage");
        assertThat(plate.outcome()).isEqualTo(Outcome.CHANGE);
        assertThat(plate.says()).isEqualTo("470.0 V of 500.0 V, but 517.0 V when the mains is high: bring it down to 454.5 V.");
        Line centre = line(swap(amp(2, 390, fittings(PinOne.UNKNOWN, "")), "6L6GC", "KT66"), "plate voltage");
        assertThat(centre.outcome()).as("a design-centre figure leaves room for the mains").isEqualTo(Outcome.HOLDS);
        assertThat(centre.says()).isEqualTo("390.0 V of 400.0 V; 429.0 V at high mains, which a design-centre figure allows for.");
    }

    /** 400 x 36 mA x 0.955 = 13.75 W, 39 % of 35 W; 62 % of 35 W at 400 V is 56.8 mA. */
    @Test
    void theNewWindowTheLeakTheRoomAndTheRailAreToldWithTheirNumbers() {
        SwapReport report = swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "6L6GC", "KT88");
        assertThat(line(report, "idle dissipation").says()).isEqualTo("The present 36.00 mA each would be 13.75 W, 39.3 % of 35.00 W: set it to 56.81 mA each, 62.0 %.");
        assertThat(line(report, "grid leak").outcome()).isEqualTo(Outcome.HOLDS);
        assertThat(line(report, "room for the bulb").says()).isEqualTo("125x52 mm: 10 mm too high, 7 mm too wide.");
        assertThat(line(report, "cathode current").says()).isEqualTo("56.81 mA at the new idle, 230 mA at most.");
        assertThat(line(report, "DC through transformer, choke and rectifier").says()).startsWith("133.61 mA at idle: within the transformer (250 mA), GZ34 (250 mA)");
        assertThat(line(report, "load on the tubes").outcome()).isEqualTo(Outcome.UNKNOWN);
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "KT88", "6550A"), "grid leak").says()).isEqualTo("from 220 k to 50 k or less.");
        assertThat(line(report, "power in this circuit").says()).matches("About \\d+ W with KT88, \\d+ W with 6L6GC: .*");
        assertThat(line(swap(amp(2, 400, fittings(PinOne.UNKNOWN, "")), "6L6GC", "KT120"), "power in this circuit").says()).isEqualTo("No published points to compute KT120 from.");
        assertThat(report.lines()).allSatisfy(each -> assertThat(each.source()).isNotBlank());
    }

    @Test
    void cathodeBiasNamesTheResistor() {
        SwapAmp amp = new SwapAmp(Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, ScreenSense.Connection.PENTODE, 2, 1, of(300), of(300), of(0.035), of(-10), of(130), 2, of(5), NO, NO, Target.CATHODE_BIAS,
                Fittings.UNKNOWN);
        Line resistor = line(swap(amp, "EL84", "7189"), "cathode resistor");
        assertThat(resistor.outcome()).as("no published points").isEqualTo(Outcome.UNKNOWN);
        Line known = line(swap(amp, "6L6GC", "6V6GT"), "cathode resistor");
        assertThat(known.outcome()).isEqualTo(Outcome.CHANGE);
        assertThat(known.says()).matches("to \\d+ ohm \\(E24\\), at least \\d+ W from 130 ohm\\.");
        assertThat(line(swap(amp, "6L6GC", "6V6GT"), "grid volts").says()).endsWith("made by the cathode resistor.");
        Line stands = line(swap(amp, "6L6GC", "6V6GT"), "idle dissipation");
        assertThat(stands.says()).startsWith("With the present 130 ohm it would draw about");
        double drawn = Double.parseDouble(stands.says().replaceAll(".*about ([\\d.]+) mA.*", "$1")) / 1000;
        assertThat(TubeModels.published().of(Amps.type("6V6GT")).orElseThrow().model().cathodeCurrent(300, 300, -2 * 130 * drawn)).as("the resistor and the tube agree").isCloseTo(drawn, within(1e-5));
    }

    @Test
    void nothingKnownIsSaidAndNothingCrashes() {
        SwapAmp blank = new SwapAmp(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, ScreenSense.Connection.PENTODE, 1, 1, NO, NO, NO, NO, NO, 1, NO, NO, NO, Target.SINGLE_ENDED, Fittings.UNKNOWN);
        List<SwapReport> all = new SwapCheck(blank, Amps.type("KT88")).all(Amps.CATALOGUE);
        assertThat(all).hasSize(Amps.CATALOGUE.types().size() - 1);
        assertThat(all).allSatisfy(report -> assertThat(report.sentence()).startsWith(report.wants()));
        assertThat(line(swap(blank, "KT88", "6L6GC"), "DC through the output transformer").outcome()).isEqualTo(Outcome.UNKNOWN);
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
        assertThat(SwapAmp.of(sheet, LastRead.of(Amps.stage(sheet), Optional.empty())).plateVolts()).isEmpty();
    }

    private static LastRead read(AmpSheet sheet, String... lines) {
        return LastRead.of(Amps.stage(sheet), Optional.of(Amps.timeline(sheet, lines).present()));
    }

    @Test
    void aScreenThatCannotBeOneIsSaidAndNotUsed() {
        LastRead read = read(Amps.pair(), "V1 36.4", "V2 33.9", "plate 452", "screen 5");
        assertThat(read.screenVolts()).isEmpty();
        assertThat(read.unusable()).contains(new IdleFinding.ScreenUnusable(5));
        assertThat(read(Amps.pair(), "V1 36.4", "plate 452", "screen 440").unusable()).isEmpty();
    }

    /** 27 V less drop on 400 V: 36 mA x 400 / 427 = 33.72 mA. */
    @Test
    void aRectifierSwapKeepsTheDissipationEqual() {
        RectifierType silicon = RectifierType.find("Silicon").orElseThrow();
        RectifierType old = RectifierType.find("5U4GB").orElseThrow();
        RectifierType better = RectifierType.find("5AR4").orElseThrow();
        SwapAmp amp = amp(2, 400, fittings(PinOne.UNKNOWN, ""));
        assertThat(line(new RectifierSwap(amp, old, better).report(), "plates and dissipation").says()).isEqualTo(
                "The plates move by about +27 V to 427.0 V; 33.72 mA each keeps the dissipation equal, not the present 36.00 mA.");
        assertThat(line(new RectifierSwap(amp, silicon, RectifierType.find("5R4GYB").orElseThrow()).report(), "first capacitor").says()).isEqualTo("40 \u00b5F of at most 4 \u00b5F: a smaller one first.");
        assertThat(new RectifierSwap(amp, better, RectifierType.find("EZ81").orElseThrow()).report().verdict()).as("another heater").isEqualTo(SwapReport.Verdict.DO_NOT);
        assertThat(line(new RectifierSwap(amp, better, silicon).report(), "rectifier heater").says()).isEqualTo("Silicon needs none.");
    }

    @Test
    void whatToSetIsToldInTheMetersUnits() {
        assertThat(new SwapAmp.TestPoint("L", 2, CurrentSense.across(CurrentMethod.SENSE_SHARED, 15.6, 0.01, Unit.VOLT)).inWords(0.0442)).isEqualTo("44.20 mA each = 1.379 V at L");
    }
}
