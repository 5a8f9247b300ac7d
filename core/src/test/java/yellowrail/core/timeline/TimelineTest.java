package yellowrail.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.mistake.Situation;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

class TimelineTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static Freshness freshness(Timeline timeline, String point) {
        return timeline.present()
                .freshness(timeline.present().moment().current(point).orElseThrow());
    }

    private static AmpSheet onePotPerTube() {
        return PAIR.withPots(List.of(
                new Pot("P1", Pot.Action.ONE, "V1", Pot.Turn.CLOCKWISE, true),
                new Pot("P2", Pot.Action.ONE, "V2", Pot.Turn.CLOCKWISE, true)));
    }

    @Test
    void statesArePartedByWhatChanged() {
        Timeline timeline = new Amps.Typed(PAIR)
                .lines(
                        "mains 120",
                        "on",
                        "V1 30 V2 30 plate 450",
                        "turn RANGE clockwise",
                        "V1 33 V2 33 plate 447",
                        "off",
                        "tube V1 EL34 new",
                        "mains 124",
                        "mains 124.3")
                .timeline();
        assertThat(timeline.states())
                .extracting(state ->
                        state.begunBy().map(change -> change.what().name()).orElse("first"))
                .containsExactly("first", "MAINS", "POWER_ON", "TURN", "POWER_OFF", "TUBE", "MAINS");
        assertThat(timeline.states()).extracting(State::hardware).containsExactly(0, 0, 0, 0, 0, 1, 1);
        assertThat(timeline.present().state().on()).contains(false);
        assertThat(timeline.present().occupants()).extracting(Occupant::name).containsExactly("EL34", "6L6GC");
        assertThat(timeline.present().occupants().get(0).isNew()).isTrue();
    }

    @Test
    void powerAndWarmUpDoNotEndASettingButATurnAndAnotherReadingDo() {
        assertThat(new Amps.Typed(PAIR)
                        .lines("on", "V1 30", "off", "on", "V2 29 plate 451")
                        .timeline()
                        .settings())
                .hasSize(1);
        assertThat(new Amps.Typed(PAIR)
                        .lines("V1 30 V2 29 plate 451", "turn RANGE clockwise", "V1 30.1 V2 29.1 plate 451")
                        .timeline()
                        .settings())
                .hasSize(2);
        assertThat(new Amps.Typed(PAIR)
                        .lines("V1 30 V2 29 plate 451", "V1 30.1")
                        .timeline()
                        .settings())
                .as("the same read twice")
                .hasSize(1);
        assertThat(new Amps.Typed(PAIR)
                        .lines("V1 30 V2 29 plate 451", "V1 35 V2 29.1 plate 448")
                        .timeline()
                        .settings())
                .as("one line is one setting")
                .hasSize(2)
                .last()
                .satisfies(setting -> assertThat(setting.lacks()).isEmpty());
    }

    @Test
    void aPotOvertakesWhatItReachesAndItsNeighboursWhereTheSupplyMoved() {
        Timeline turned = new Amps.Typed(onePotPerTube())
                .lines("V1 30 V2 30 plate 450", "turn P1 clockwise")
                .timeline();
        assertThat(freshness(turned, "V1").why()).contains(new TimelineFinding.PotTurnedSince("P1"));
        assertThat(freshness(turned, "V2").why()).contains(new TimelineFinding.NeighboursPotTurnedSince("P1"));
        Timeline read = new Amps.Typed(onePotPerTube())
                .lines("V1 30 V2 30 plate 450", "turn P1 clockwise", "V1 31 plate 449.5")
                .timeline();
        assertThat(freshness(read, "V1").isFresh()).isTrue();
        assertThat(freshness(read, "V2").isFresh())
                .as("the plates stand where they stood")
                .isTrue();
        Timeline sagged = new Amps.Typed(onePotPerTube())
                .lines("V1 30 V2 30 plate 450", "turn P1 clockwise", "V1 44 plate 443")
                .timeline();
        assertThat(freshness(sagged, "V2").kind()).isEqualTo(Freshness.Kind.STALE);
    }

    @Test
    void readingsOfAnotherTubeOrSupplyAreGoneAndStayInTheLog() {
        Amps.Typed typed = new Amps.Typed(PAIR).lines("V1 30 V2 30 plate 450", "tube V1 EL34");
        assertThat(typed.timeline().present().moment().current("V1")).isEmpty();
        assertThat(typed.timeline().present().gone("V1")).contains(new TimelineFinding.TubeExchangedSince("V1"));
        assertThat(typed.log().readings()).hasSize(4);
        Timeline rectified = new Amps.Typed(PAIR)
                .line("V1 30 V2 30 plate 450")
                .sheet(PAIR.with(PAIR.supply().with(Rectifier.TUBE)))
                .timeline();
        assertThat(rectified.present().gonePlates()).contains(new TimelineFinding.HardwareChangedSince());
        assertThat(rectified.presentSettings()).isEmpty();
        assertThat(rectified.settings()).hasSize(1);
    }

    @Test
    void anotherTargetOrNameIsNoOtherHardwareAndTheNewestSheetIsInForce() {
        AmpSheet other = PAIR.with(new Target(School.SHARE_OF_RATING, 0.40, 0.50, 0.60));
        Timeline timeline =
                new Amps.Typed(PAIR).line("V1 30 V2 30 plate 450").sheet(other).timeline();
        assertThat(timeline.present().sheet().target()).isEqualTo(other.target());
        assertThat(timeline.present().moment().current("V1")).isPresent();
        assertThat(timeline.states()).hasSize(1);
    }

    @Test
    void whatALineSaysOfTheSheetCorrectsTheRecordAndNotTheBench() {
        Amps.Typed typed = new Amps.Typed(PAIR).line("plate 442");
        Situation situation = new Situation(typed.log(), typed.now(), List.of());
        for (Entry entry : new EntryLine(PAIR).parse("sheet shared")) {
            situation = situation.after(entry);
        }
        assertThat(situation.sheet().testPoints()).containsExactly("TP");
        Reading corrects = new Reading(9, Entry.said(ReadingKind.SHEET, "", "shared"), typed.now(), 9, 2);
        Timeline timeline = typed.log().with(situation.sheet()).with(corrects).timeline();
        assertThat(timeline.present().sheet().testPoints()).containsExactly("TP");
        assertThat(timeline.present()
                        .moment()
                        .last(ReadingKind.PLATE)
                        .orElseThrow()
                        .value())
                .isCloseTo(442, within(1e-9));
    }

    /** What stands on one line was read together, whichever of it moved. */
    @Test
    void whatWasReadOnTheLineThatMovedIsFresh() {
        Snapshot now = Amps.timeline(Amps.pair(), "V1 44 V2 43 plate 452", "V1 44.1 V2 37 plate 455")
                .present();
        now.sheet()
                .testPoints()
                .forEach(point -> assertThat(
                                now.freshness(now.moment().current(point).orElseThrow())
                                        .isFresh())
                        .as(point)
                        .isTrue());
    }
}
