package yellowrail.core.mistake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.SheetCorrection;

/** Every catalogued mistake, provoked: what is said of it, and the correction offered first. */
class MistakesTest {

    private static final AmpSheet PAIR =
            Amps.pair().withPots(List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)));

    /** Types the lines a minute apart, then the last one, and gives what is asked about it. */
    private static Optional<Question> asked(AmpSheet sheet, int secondsBefore, String... lines) {
        Amps.Typed typed = new Amps.Typed(sheet).lines(Arrays.copyOf(lines, lines.length - 1));
        Situation now = new Situation(typed.log(), typed.now().minusSeconds(60 - secondsBefore), List.of());
        for (Entry entry : new EntryLine(sheet).parse(lines[lines.length - 1])) {
            Optional<Question> question = Mistakes.question(entry, now);
            if (question.isPresent()) {
                return question;
            }
            now = now.after(entry);
        }
        return Optional.empty();
    }

    private static String line(List<Entry> entries, AmpSheet sheet) {
        return entries.stream().map(entry -> EntryWriter.line(entry, sheet)).collect(Collectors.joining("; "));
    }

    private static MistakeFinding caught(
            AmpSheet sheet, Class<? extends MistakeFinding> asks, String correction, String... lines) {
        Question question = asked(sheet, 60, lines)
                .orElseThrow(() -> new AssertionError("nothing was asked about " + lines[lines.length - 1]));
        assertThat(question.asks()).isInstanceOf(asks);
        assertThat(line(question.suggestions().get(0), sheet)).isEqualTo(correction);
        assertThat(new EntryLine(sheet).parse(correction))
                .as("the correction can be typed")
                .isNotEmpty();
        return (MistakeFinding) question.asks();
    }

    private static void passes(AmpSheet sheet, String... lines) {
        assertThat(asked(sheet, 60, lines).map(Question::asks)).isEmpty();
    }

    @Test
    void unloadedVoltageUsedAsPlateVoltage() {
        caught(PAIR, MistakeFinding.UnloadedVoltage.class, "plate 503V unloaded", "plate 505 unloaded", "plate 503");
        Supply supply = new Supply(
                Rectifier.SILICON,
                false,
                OptionalDouble.of(350),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        caught(
                PAIR.with(supply),
                MistakeFinding.UnloadedVoltage.class,
                "plate 492V unloaded",
                "mains 120",
                "plate 492");
        passes(PAIR, "plate 505 unloaded", "plate 452");
    }

    @Test
    void theSumOfASharedResistorReadAsOneTubes() {
        caught(PAIR, MistakeFinding.SumForOne.class, "sheet shared; V1 84mV", "plate 442", "V1 84");
        AmpSheet shared = SheetCorrection.parse("shared", PAIR).sheet();
        assertThat(shared.testPoints()).containsExactly("TP");
        caught(shared, MistakeFinding.OneForSum.class, "TP 84mV", "plate 442", "V1 42");
        passes(shared, "plate 442", "V1 84");
    }

    @Test
    void screenCurrentCountedAtATightTarget() {
        AmpSheet whole = Amps.with(PAIR, ScreenSense.Way.NOT_DEDUCTED);
        caught(whole, MistakeFinding.ScreenCounted.class, "sheet screen typical; V1 48mV", "plate 445", "V1 48");
        passes(whole, "plate 445", "V1 40");
    }

    @Test
    void theRatingDividedByTheVoltageAndThePercentageForgotten() {
        caught(
                PAIR,
                MistakeFinding.PercentageForgotten.class,
                "V1 66.4mV; note V1 at about 43.3 mV",
                "plate 452",
                "V1 30 V2 30",
                "V1 66.4");
        caught(
                PAIR,
                MistakeFinding.PercentageForgotten.class,
                "plate 452V; note V1 at about 43.3 mV",
                "V1 66.4 V2 30",
                "plate 452");
    }

    @Test
    void resistanceMeasuredWithThePowerOn() {
        caught(PAIR, MistakeFinding.ResistanceWhileOn.class, "off; rk off 1ohm", "on 20", "rk off 1");
        passes(PAIR, "on 20", "off", "rk off 1");
    }

    @Test
    void oneKindOfBiasJudgedByTheNumbersOfTheOther() {
        caught(
                Amps.with(Amps.quad(), Target.FIXED_BIAS),
                MistakeFinding.JudgedByFixedNumbers.class,
                "sheet target customary; TP 9.85V",
                "plate 311",
                "vk 9.85");
        caught(
                Amps.with(PAIR, Target.CATHODE_BIAS),
                MistakeFinding.JudgedByCathodeNumbers.class,
                "sheet target customary; V1 40mV",
                "plate 450",
                "V1 40");
        caught(PAIR, MistakeFinding.CathodeOnFixedBias.class, "bias -38V", "vk 38");
        assertThat(asked(Amps.quad(), 60, "plate 299", "bias -11").orElseThrow().asks())
                .isInstanceOf(MistakeFinding.GridOnCathodeBias.class);
        passes(Amps.quad(), "plate 311", "vk 9.85");
    }

    @Test
    void readingsBeforeTheTubesConduct() {
        Question question = asked(PAIR, 12, "on", "V1 3").orElseThrow();
        assertThat(question.asks()).isEqualTo(new MistakeFinding.BeforeTheTubesConduct(12, 30));
        assertThat(line(question.suggestions().get(0), PAIR)).isEqualTo("on 10; V1 3mV");
        passes(PAIR, "on 12; V1 30 V2 31 plate 452");
        passes(PAIR, "on", "V1 30");
    }

    @Test
    void theHotWayWithNewTubesIn() {
        caught(
                PAIR,
                MistakeFinding.HotWayWithNewTubes.class,
                "turn RANGE anticlockwise",
                "tube V1 6L6GC new",
                "turn RANGE clockwise");
        passes(PAIR, "tube V1 6L6GC new", "V1 20", "turn RANGE clockwise");
    }

    @Test
    void theBalanceControlTakenForTheBiasControl() {
        caught(
                PAIR,
                MistakeFinding.BalanceForRange.class,
                "V2 22mV; sheet pot RANGE balance",
                "plate 460",
                "V1 25 V2 25",
                "turn RANGE clockwise",
                "V1 28",
                "V2 22");
        passes(PAIR, "plate 460", "V1 25 V2 25", "V1 28", "V2 22");
        passes(
                PAIR,
                "plate 460",
                "V1 25 V2 25",
                "turn RANGE clockwise",
                "tube V1 6L6GC A2",
                "tube V2 6L6GC A1",
                "V1 28",
                "V2 22");
        passes(PAIR, "plate 460", "V1 25 V2 25", "V1 28", "V2 28");
    }

    @Test
    void thePotTurnedAgainstTheSheet() {
        caught(
                PAIR,
                MistakeFinding.FellTheOtherWay.class,
                "V1 20mV; sheet pot RANGE anticlockwise",
                "V1 30",
                "turn RANGE clockwise",
                "V1 20");
    }

    @Test
    void signalPresentWhileMeasuring() {
        caught(
                PAIR,
                MistakeFinding.SignalPresent.class,
                "note V1 36mV: signal present",
                "V1 30 V2 30 bias -46.8",
                "bias -46.9",
                "V1 36");
        passes(PAIR, "V1 30 V2 30 bias -46.8", "bias -44.9", "V1 36");
    }

    @Test
    void trimmingACreepingTube() {
        caught(
                PAIR,
                MistakeFinding.TrimmingACreepingTube.class,
                "note V2 creeps",
                "V1 40 V2 40",
                "V1 40.1 V2 41.5",
                "note waited",
                "V1 40 V2 43",
                "V1 40.1 V2 44",
                "turn RANGE anticlockwise");
        passes(
                PAIR,
                "V1 40 V2 40",
                "V1 41.5 V2 41.5",
                "note waited",
                "V1 43 V2 43",
                "V1 44 V2 44",
                "turn RANGE anticlockwise");
    }

    @Test
    void partsRunPastTheirRating() {
        Supply small = new Supply(
                Rectifier.SILICON,
                false,
                OptionalDouble.empty(),
                OptionalDouble.of(450),
                OptionalDouble.empty(),
                OptionalDouble.of(0.0015),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        caught(
                PAIR.with(small),
                MistakeFinding.PastTheCapacitors.class,
                "plate 470V unloaded; off",
                "plate 470 unloaded");
        caught(
                PAIR.with(small),
                MistakeFinding.PastAResistor.class,
                "V1 45mV; note resistor at V1 past its rating",
                "V1 45");
        passes(PAIR.with(small), "V1 30");
    }

    @Test
    void twoHalvesOfAStageSetAtDifferentMains() {
        caught(
                PAIR,
                MistakeFinding.HalvesAtDifferentMains.class,
                "mains 114V; mark other mains",
                "mains 120",
                "V1 40",
                "mains 114");
        passes(PAIR, "mains 120", "V1 40 V2 40", "mains 114");
    }

    @Test
    void aTubeInASocketWiredForAnotherPinOut() {
        caught(PAIR, MistakeFinding.OtherPins.class, "tube V1 6L6GC", "tube V1 EL34 new");
        caught(PAIR, MistakeFinding.OtherBase.class, "tube V2 6L6GC", "tube V2 EL84");
        passes(PAIR, "tube V1 KT66 new");
        assertThat(asked(PAIR, 60, "tube V1 6P99X new").orElseThrow().asks())
                .isEqualTo(new MistakeFinding.TypeNotListed("V1", "6P99X"));
    }

    /** 145 mA at 452 V, less 5 %: 62 W of 30. */
    @Test
    void whatWouldBeFarOverTheRatingIsFirstToldAsIfItWereReal() {
        Question question = asked(PAIR, 60, "on 20", "plate 452", "V1 145").orElseThrow();
        assertThat(question.ifReal().orElseThrow())
                .isInstanceOfSatisfying(MistakeFinding.IfRealSwitchOff.class, real -> {
                    assertThat(real.watts()).isCloseTo(62.2, within(0.2));
                    assertThat(real.ratio()).isCloseTo(2.07, within(0.01));
                });
        assertThat(question.asks()).isInstanceOf(MistakeFinding.FarOverRating.class);
    }

    @Test
    void readingsAfterOffAreAskedAbout() {
        Question question = asked(PAIR, 60, "on 20", "V1 36 V2 35 plate 452", "off", "V1 36")
                .orElseThrow();
        assertThat(question.asks()).isEqualTo(new MistakeFinding.ReadWhileOff());
        assertThat(line(question.suggestions().get(0), PAIR)).isEqualTo("on 10; V1 36mV");
        assertThat(asked(PAIR, 60, "on 20", "rk off 55").orElseThrow().asks())
                .as("power comes before size")
                .isEqualTo(new MistakeFinding.ResistanceWhileOn());
    }

    /** Asked once, answered on the sheet for the sheet's type alone. */
    @Test
    void voltsOverThePublishedLimitAreAskedOnce() {
        AmpSheet six =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("6V6GT"), 2, false).sheet();
        caught(
                six,
                MistakeFinding.PlateOverPublished.class,
                "sheet plate up to 440; plate 420V",
                "V1 18 V2 18",
                "plate 420");
        passes(six, "plate 420", "plate 421");
        passes(SheetCorrection.parse("plate up to 440", six).sheet(), "plate 420");
        Question other =
                asked(Amps.pair(), 60, "tube V1 6V6GT new", "plate 430").orElseThrow();
        assertThat(other.asks()).isEqualTo(new MistakeFinding.PlateOverPublished(430, "6V6GT", 315));
        assertThat(other.suggestions()).as("the sheet answers for its own type").isEmpty();
        caught(six, MistakeFinding.ScreenOverPublished.class, "sheet screen up to 330; screen 318V", "screen 318");
    }

    @Test
    void whatWasAskedForIsNeverQuestioned() {
        AmpSheet sheet = PAIR;
        Amps.Typed typed = new Amps.Typed(sheet).lines("plate 460", "V1 15 V2 15");
        NextMove.Mark mark = new NextMove.Mark("V1", 0.015, 0.044);
        Entry entry = new EntryLine(sheet).parse("V1 44").get(0);
        assertThat(Mistakes.question(entry, new Situation(typed.log(), typed.now(), List.of())))
                .isPresent();
        assertThat(Mistakes.question(entry, new Situation(typed.log(), typed.now(), List.of(mark))))
                .isEmpty();
        assertThat(Mistakes.question(
                        new EntryLine(sheet).parse("V1 100").get(0),
                        new Situation(typed.log(), typed.now(), List.of(new NextMove.Mark("V1", 0.015, 0.1)))))
                .as("a limit outranks it")
                .isPresent();
    }

    @Test
    void moreComesOutThanTheTubesStandFor() {
        // Two of 30 W: 47.8 V peak to peak, typed as RMS, would be 285.6 W into 8 ohm.
        caught(PAIR, MistakeFinding.MoreThanTheStage.class, "clips 16.9V 8R 1000Hz", "clips 47.8V 8R 1k");
        caught(PAIR, MistakeFinding.MoreThanTheStage.class, "out 16.9V", "clips 16.9V 8R", "out 169V");
        assertThat(asked(PAIR, 60, "clips 16.9V 8R 1k")).isEmpty();
        assertThat(asked(PAIR, 60, "out 169V")).as("no load, no watts").isEmpty();
    }

    @Test
    void humOfVoltsIsOfMillivoltsOrTerrible() {
        caught(PAIR, MistakeFinding.MuchHum.class, "hum 0.0024V", "hum 2.4V");
        assertThat(asked(PAIR, 60, "hum 240mV")).isEmpty();
    }
}
