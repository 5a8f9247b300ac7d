package yellowrail.core.idle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

class StageIdleTest {

    private static TubeIdle first(AmpSheet sheet, String... lines) {
        return Amps.idle(sheet, lines).get(0);
    }

    private static void notJudged(TubeIdle tube, IdleFinding reason) {
        assertThat(tube.judgement().verdict()).isEqualTo(Verdict.NOT_JUDGED);
        assertThat(tube.judgement().notes()).contains(reason);
    }

    private static void notes(TubeIdle tube, Class<? extends IdleFinding> finding) {
        assertThat(tube.judgement().notes()).hasAtLeastOneElementOfType(finding);
    }

    @Test
    void saysWhatIsMissing() {
        notJudged(first(Amps.pair()), new IdleFinding.NoCurrent("V1", Unit.MILLIVOLT));
        notJudged(first(Amps.pair(), "V1 36.4"), new IdleFinding.NoPlates());
        notJudged(first(Amps.pair(), "V1 36.4", "plate 505 unloaded"), new IdleFinding.PlatesUnloaded());
        notJudged(
                first(Amps.with(Amps.pair(), ScreenSense.Way.MEASURED), "V1 36.4", "plate 452"),
                new IdleFinding.NoScreenCurrent("V1"));
        notJudged(
                first(
                        Amps.with(
                                Amps.pair(),
                                new PlateSense(
                                        PlateSense.Point.B_PLUS, PlateSense.Reference.GROUND, OptionalDouble.empty())),
                        "V1 36.4",
                        "b+ 452"),
                new IdleFinding.NoHalfPrimary());
        notJudged(
                first(Amps.with(Amps.quad(), CurrentSense.direct(CurrentMethod.SOCKET_ADAPTER)), "TP 40", "plate 320"),
                new IdleFinding.NoCathodeVolts());
    }

    @Test
    void theWarmUpRefusesThenMarksEarlyThenIsSilent() {
        // readings fall 30 s apart, so the first is at 0 s, the second at 30 s
        notJudged(
                first(Amps.pair(), "on", "note a", "V1 36.4", "plate 452", "off", "V1 36.4"),
                new IdleFinding.ReadAfterOff(ReadingKind.SENSE_VOLTS));
        assertThat(first(Amps.pair(), "on", "V1 36.4", "plate 452").judgement().early())
                .isTrue();
        notes(first(Amps.pair(), "V1 36.4", "plate 452"), IdleFinding.WarmUpNotKnown.class);
        String[] long_ = new String[24];
        Arrays.fill(long_, "note wait");
        long_[0] = "on";
        long_[22] = "V1 36.4";
        long_[23] = "plate 452";
        assertThat(first(Amps.pair(), long_).judgement().early()).isFalse();
    }

    @Test
    void aReadingBeforeTheTubesConductIsNotJudged() {
        var readings = Amps.readings(Amps.pair(), "on", "V1 36.4", "plate 452").stream()
                .map(reading -> new Reading(reading.id(), reading.entry(), Amps.NOON.plusSeconds(10 * reading.id())))
                .toList();
        notJudged(
                Amps.stage(Amps.pair()).at(new Moment(readings)).get(0),
                new IdleFinding.WarmUpTooShort(ReadingKind.SENSE_VOLTS, 10, 30));
    }

    @Test
    void readAtBPlusTheDropOfAllTubesOnThatHalfComesOff() {
        AmpSheet sheet = Amps.with(
                Amps.pair(),
                new PlateSense(PlateSense.Point.B_PLUS, PlateSense.Reference.GROUND, OptionalDouble.of(100)));
        // 36.4 mA less 5 % = 34.58 mA through 100 ohm = 3.458 V
        assertThat(first(sheet, "V1 36.4", "b+ 452")
                        .figures()
                        .orElseThrow()
                        .plateVolts()
                        .value())
                .isCloseTo(452 - 0.0364 - 3.458, within(1e-6));
    }

    @Test
    void measuredScreenCurrentIsTakenOffAsMeasured() {
        AmpSheet sheet = Amps.with(Amps.pair(), ScreenSense.Way.MEASURED);
        TubeIdle tube = first(sheet, "V1 36.4", "plate 452", "V1 ig2 0.94V", "screen 448");
        // 0.94 V / 470 ohm = 2.0 mA; 2 mA x (448 - 0.036) V = 0.896 W
        assertThat(tube.figures().orElseThrow().plateCurrent().value()).isCloseTo(0.0344, within(1e-9));
        assertThat(tube.figures().orElseThrow().screenWatts().orElseThrow().value())
                .isCloseTo(0.896, within(1e-3));
        notJudged(
                first(sheet, "V1 36.4", "plate 452", "V1 ig2 40mA"),
                new IdleFinding.Contradiction(new IdleFinding.ScreenNotLess(0.040, 0.0364)));
    }

    @Test
    void everySchoolIsCappedByTheRating() {
        for (Target target : List.of(
                new Target(School.CURRENT_WINDOW, 0.03, 0.06, 0.09),
                new Target(School.BY_EAR, 0.03, 0.06, 0.09),
                new Target(School.MAKERS_FIGURE, 0.03, 0.06, 0.09))) {
            AmpSheet sheet = Amps.with(Amps.pair(), target);
            assertThat(first(sheet, "V1 20", "plate 452").judgement().verdict()).isEqualTo(Verdict.COLD);
            assertThat(first(sheet, "V1 36.4", "plate 452").judgement().verdict())
                    .isEqualTo(Verdict.IN_WINDOW);
            assertThat(first(sheet, "V1 75", "plate 452").judgement().verdict()).isEqualTo(Verdict.OVER_RATING);
            assertThat(first(sheet, "V1 92", "plate 300").judgement().verdict()).isEqualTo(Verdict.HOT);
        }
    }

    @Test
    void saysWhenTheUncertaintyPassesAnEdge() {
        notes(first(Amps.pair(), "V1 69.6", "plate 452"), IdleFinding.UpperEndPassesRating.class);
        notes(first(Amps.pair(), "V1 35", "plate 452"), IdleFinding.ColdEdgeWithin.class);
        notes(first(Amps.pair(), "V1 30", "plate 520"), IdleFinding.PlateOverLimit.class);
        assertThat(first(Amps.pair(), "V1 36.4", "plate 452", "mains 125")
                        .judgement()
                        .notes())
                .contains(new IdleFinding.OtherMains(125, 120));
    }

    @Test
    void aScreenReadToTheCathodeIsHeldAgainstItsLimitAsRead() {
        AmpSheet toCathode = Amps.with(
                Amps.quad(),
                new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.CATHODE, OptionalDouble.empty()));
        // 305 V to the cathode is over the EL84's 300 V; to ground, less the 9.85 V of the cathode, it is not
        assertThat(first(toCathode, "vk 9.85", "plate 290", "screen 305")
                        .judgement()
                        .notes())
                .contains(new IdleFinding.ScreenOverLimit(305, 300));
        assertThat(first(Amps.quad(), "vk 9.85", "plate 290", "screen 305")
                        .judgement()
                        .notes())
                .noneMatch(IdleFinding.ScreenOverLimit.class::isInstance);
    }

    @Test
    void biasVoltsAreShownAndChangeNothing() {
        TubeIdle without = first(Amps.pair(), "V1 36.4", "plate 452");
        TubeIdle with = first(Amps.pair(), "V1 36.4", "plate 452", "bias -20");
        assertThat(with.bias()).map(bias -> bias.value()).contains(-20.0);
        assertThat(with.judgement()).isEqualTo(without.judgement());
    }

    @Test
    void theNewerOfASocketsAndTheAmpsPlateVoltageCounts() {
        assertThat(first(Amps.pair(), "V1 36.4", "V1 plate 440", "plate 452")
                        .plate()
                        .orElseThrow()
                        .value())
                .isEqualTo(452);
        assertThat(first(Amps.pair(), "V1 36.4", "plate 452", "V1 plate 440")
                        .plate()
                        .orElseThrow()
                        .value())
                .isEqualTo(440);
    }

    @Test
    void thePartsOfTheUncertaintyAddUp() {
        IdleFigures figures =
                first(Amps.pair(), "V1 36.4", "plate 452").figures().orElseThrow();
        assertThat(figures.dissipation().contributions().stream()
                        .mapToDouble(part -> part.share())
                        .sum())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void aSupplyReadingCountsOutTheOtherCurrent() {
        CurrentSense choke = new CurrentSense(
                CurrentMethod.SUPPLY_DROP,
                OptionalDouble.of(100),
                0.05,
                Unit.VOLT,
                20,
                OptionalDouble.empty(),
                OptionalDouble.of(0.020));
        AmpSheet sheet = Amps.with(
                Amps.with(Amps.pair(), choke),
                Amps.pair().sockets().stream()
                        .map(socket -> new Socket(socket.label(), socket.side(), socket.channel(), "CHOKE"))
                        .toList());
        // 9 V / 100 ohm = 90 mA, less 20 mA, over two tubes
        assertThat(first(sheet, "choke 9", "plate 452")
                        .figures()
                        .orElseThrow()
                        .cathode()
                        .value())
                .isCloseTo(0.035, within(1e-9));
    }

    @Property(tries = 200)
    void moreCurrentMoreWattsAndMoreVoltsMoreWatts(
            @ForAll @DoubleRange(min = 5, max = 90) double millivolts,
            @ForAll @DoubleRange(min = 200, max = 600) double volts) {
        double here = watts(millivolts, volts);
        assertThat(watts(millivolts * 1.01, volts)).isGreaterThan(here);
        assertThat(watts(millivolts, volts * 1.01)).isGreaterThan(here);
    }

    private static double watts(double millivolts, double volts) {
        IdleProblem problem = new IdleProblem(
                Amps.pair().current(),
                millivolts / 1e3,
                true,
                1,
                Amps.pair().plate(),
                volts,
                1,
                OptionalDouble.empty(),
                ScreenSense.Way.TYPICAL,
                0.05,
                OptionalDouble.empty(),
                0,
                OptionalDouble.empty(),
                Amps.pair().meter());
        return new IdleCalculation(problem).compute().dissipation().value();
    }
}
