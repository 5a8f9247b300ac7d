package yellowrail.core.mistake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Target;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.SheetCorrection;

/** Every catalogued mistake, provoked: what is said of it, and the correction offered first. */
class MistakesTest {

    private static final AmpSheet PAIR = Amps.pair().withPots(List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)));

    /** Types the lines a minute apart, then the last one, and gives what is asked about it. */
    private static Optional<Question> asked(AmpSheet sheet, int secondsBefore, String... lines) {
        List<Reading> readings = new ArrayList<>();
        EntryLine line = new EntryLine(sheet);
        for (int i = 0; i < lines.length - 1; i++) {
            for (Entry entry : line.parse(lines[i])) {
                readings.add(new Reading(readings.size() + 1L, entry, Amps.NOON.plusSeconds(60L * i)));
            }
        }
        Situation now = new Situation(Amps.stage(sheet), new Moment(readings), readings, Amps.NOON.plusSeconds(60L * (lines.length - 2) + secondsBefore));
        for (Entry entry : line.parse(lines[lines.length - 1])) {
            Optional<Question> question = Mistakes.question(entry, now);
            if (question.isPresent()) {
                return question;
            }
            now = now.after(entry);
        }
        return Optional.empty();
    }

    private static void caught(AmpSheet sheet, String says, String correction, String... lines) {
        Question question = asked(sheet, 60, lines).orElseThrow(() -> new AssertionError("nothing was asked about " + lines[lines.length - 1]));
        assertThat(question.asks()).contains(says);
        assertThat(question.suggestions().get(0).line()).isEqualTo(correction);
        assertThat(new EntryLine(sheet).parse(correction)).as("the correction can be typed").isNotEmpty();
    }

    private static void passes(AmpSheet sheet, String... lines) {
        assertThat(asked(sheet, 60, lines).map(Question::asks)).isEmpty();
    }

    @Test
    void unloadedVoltageUsedAsPlateVoltage() {
        caught(PAIR, "unloaded, with no tube drawing", "plate 503V unloaded", "plate 505 unloaded", "plate 503");
        Supply supply = new Supply(Rectifier.SILICON, false, OptionalDouble.of(350), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(),
                OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        caught(PAIR.with(supply), "unloaded, with no tube drawing (495.0 V)", "plate 492V unloaded", "mains 120", "plate 492");
        passes(PAIR, "plate 505 unloaded", "plate 452");
    }

    @Test
    void theSumOfASharedResistorReadAsOneTubes() {
        caught(PAIR, "If one resistor carries two tubes, this is their sum", "sheet shared; V1 84mV", "plate 442", "V1 84");
        AmpSheet shared = SheetCorrection.parse("shared", PAIR).sheet();
        assertThat(shared.testPoints()).containsExactly("TP");
        caught(shared, "carries 2 tubes", "TP 84mV", "plate 442", "V1 42");
        passes(shared, "plate 442", "V1 84");
    }

    @Test
    void screenCurrentCountedAtATightTarget() {
        AmpSheet whole = Amps.with(PAIR, ScreenSense.Way.NOT_DEDUCTED);
        caught(whole, "counted as plate current", "sheet screen typical; V1 48mV", "plate 445", "V1 48");
        passes(whole, "plate 445", "V1 40");
    }

    @Test
    void theRatingDividedByTheVoltageAndThePercentageForgotten() {
        caught(PAIR, "the percentage forgotten? The aim of 62.0 %", "V1 66.4mV; note set by the whole rating, turning back: V1 at about 43.3 mV", "plate 452", "V1 30 V2 30", "V1 66.4");
    }

    @Test
    void resistanceMeasuredWithThePowerOn() {
        caught(PAIR, "By the log the amp is on", "off; rk off 1ohm", "on 20", "rk off 1");
        passes(PAIR, "on 20", "off", "rk off 1");
    }

    @Test
    void oneKindOfBiasJudgedByTheNumbersOfTheOther() {
        caught(Amps.with(Amps.quad(), Target.FIXED_BIAS), "judged by fixed-bias numbers", "sheet target customary; TP 9.85V", "plate 311", "vk 9.85");
        caught(Amps.with(PAIR, Target.CATHODE_BIAS), "judged by cathode-bias numbers", "sheet target customary; V1 40mV", "plate 450", "V1 40");
        caught(PAIR, "the sheet says fixed bias. Was that the grid?", "bias -38V", "vk 38");
        assertThat(asked(Amps.quad(), 60, "plate 311", "bias -11").orElseThrow().asks()).contains("Was that the cathode?");
        passes(Amps.quad(), "plate 311", "vk 9.85");
    }

    @Test
    void readingsBeforeTheTubesConduct() {
        Question question = asked(PAIR, 12, "on", "V1 3").orElseThrow();
        assertThat(question.asks()).contains("12 s after switching on");
        assertThat(question.suggestions().get(0).line()).isEqualTo("on 10; V1 3mV");
        passes(PAIR, "on", "V1 30");
    }

    @Test
    void theHotWayWithNewTubesIn() {
        caught(PAIR, "clockwise is the hot way by the sheet. The coldest end first", "turn RANGE anticlockwise", "tube V1 6L6GC new", "turn RANGE clockwise");
        passes(PAIR, "tube V1 6L6GC new", "V1 20", "turn RANGE clockwise");
    }

    @Test
    void theBalanceControlTakenForTheBiasControl() {
        caught(PAIR, "V1 went up as V2 went down: RANGE is a balance pot", "V2 22mV; sheet pot RANGE balance", "plate 460", "V1 25 V2 25", "V1 28", "V2 22");
        passes(PAIR, "plate 460", "V1 25 V2 25", "V1 28", "V2 28");
    }

    @Test
    void thePotTurnedAgainstTheSheet() {
        caught(PAIR, "the sheet has its direction the wrong way round", "V1 20mV; sheet pot RANGE anticlockwise", "V1 30", "turn RANGE clockwise", "V1 20");
    }

    @Test
    void signalPresentWhileMeasuring() {
        caught(PAIR, "Signal present while measuring?", "note V1 36mV dropped: signal present", "V1 30 V2 30 bias -46.8", "bias -46.9", "V1 36");
        passes(PAIR, "V1 30 V2 30 bias -46.8", "bias -44.9", "V1 36");
    }

    @Test
    void trimmingACreepingTube() {
        caught(PAIR, "chasing one\u2019s tail", "note V2 creeps: tubes to be swapped before any trimming",
                "V1 40 V2 40", "V1 40.1 V2 41.5", "note waited", "V1 40 V2 43", "V1 40.1 V2 44", "turn RANGE anticlockwise");
        passes(PAIR, "V1 40 V2 40", "V1 41.5 V2 41.5", "note waited", "V1 43 V2 43", "V1 44 V2 44", "turn RANGE anticlockwise");
    }

    @Test
    void partsRunPastTheirRating() {
        Supply small = new Supply(Rectifier.SILICON, false, OptionalDouble.empty(), OptionalDouble.of(450), OptionalDouble.empty(), OptionalDouble.empty(),
                OptionalDouble.of(0.0015), OptionalDouble.empty(), OptionalDouble.empty());
        caught(PAIR.with(small), "more than the capacitors\u2019 450.0 V", "plate 470V unloaded; off", "plate 470 unloaded");
        caught(PAIR.with(small), "runs it past its rating", "V1 45mV; note resistor at V1 past its rating: turning down", "V1 45");
        passes(PAIR.with(small), "V1 30");
    }

    @Test
    void twoHalvesOfAStageSetAtDifferentMains() {
        caught(PAIR, "the two halves would not belong together. Read V1 again", "mains 114V; mark other mains: all to be read again", "mains 120", "V1 40", "mains 114");
        passes(PAIR, "mains 120", "V1 40 V2 40", "mains 114");
    }

    @Test
    void aTubeInASocketWiredForAnotherPinOut() {
        caught(PAIR, "V1 is wired for 6L6GC: EL34 has pins g3=1", "tube V1 6L6GC", "tube V1 EL34 new");
        caught(PAIR, "EL84 has a noval base where the socket is octal", "tube V2 6L6GC", "tube V2 EL84");
        passes(PAIR, "tube V1 KT66 new");
    }
}
