package yellowrail.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.bias.Supplies;
import yellowrail.core.station.StationEvent.What;

class RunProgressTest {

    private static final AmpSheet PAIR = Amps.pair();
    private final List<StationEvent> events = new ArrayList<>();

    private RunProgress after(What what, Station station, String item, String words) {
        events.add(new StationEvent(what, station, item, words, Amps.NOON));
        return new RunProgress(PAIR, events);
    }

    @Test
    void stationsAreDoneSkippedAndTakenUpAgain() {
        assertThat(new RunProgress(PAIR, events).next()).isEqualTo(Station.PLAN);
        assertThat(after(What.DONE, Station.PLAN, "", "").next()).isEqualTo(Station.MAKE_SAFE);
        RunProgress skipped = after(What.SKIPPED, Station.MAKE_SAFE, "", "done this morning");
        assertThat(skipped.status(Station.MAKE_SAFE)).isEqualTo(RunProgress.Status.SKIPPED);
        assertThat(skipped.why(Station.MAKE_SAFE)).isEqualTo("done this morning");
        assertThat(skipped.next()).isEqualTo(Station.TUBES);
        assertThat(after(What.REOPENED, Station.PLAN, "", "").next()).isEqualTo(Station.PLAN);
    }

    @Test
    void everyGatingItemMustBeTickedAlsoWhenTheStationWasSkipped() {
        after(What.SKIPPED, Station.MAKE_SAFE, "", "in a hurry");
        List<SafetyItem> items = new RunProgress(PAIR, events).missing();
        assertThat(items)
                .extracting(SafetyItem::id)
                .containsExactly("load", "quiet", "hands", "ground", "range", "hot");
        items.forEach(item -> after(What.TICKED, Station.MAKE_SAFE, item.id(), ""));
        assertThat(new RunProgress(PAIR, events).missing()).isEmpty();
        assertThat(new RunProgress(PAIR, events).tickedAt("load")).contains(Amps.NOON);
        assertThat(after(What.UNTICKED, Station.MAKE_SAFE, "load", "").missing())
                .extracting(SafetyItem::id)
                .containsExactly("load");
        assertThat(after(What.TICKED, Station.MAKE_SAFE, Safety.CLOSED, "").missing())
                .isEmpty();
    }

    /** Until it is measured with the tubes out, nothing else of the amp is read. */
    @Test
    void workAtTheBiasSupplyAsksForWhatItGives() {
        AmpSheet sheet = PAIR.with(Optional.of(Supplies.tapped()));
        assertThat(new RunProgress(PAIR, events).item(Safety.BIAS_WORK)).isEmpty();
        assertThat(new RunProgress(sheet, events).missing()).noneMatch(item -> item.station() == Station.TUBES);
        events.add(new StationEvent(What.TICKED, Station.TUBES, Safety.BIAS_WORK, "", Amps.NOON));
        List<SafetyItem> asked = new RunProgress(sheet, events)
                .missing().stream()
                        .filter(item -> item.gate() == SafetyItem.Gate.WITH_BIAS_WORK)
                        .toList();
        assertThat(asked)
                .extracting(SafetyItem::id)
                .containsExactly("bias-negative", "bias-stops", "bias-capacitors", "bias-wiper");
        assertThat(asked.get(1).says())
                .isInstanceOfSatisfying(
                        StationFinding.BothStopsRead.class,
                        stops -> assertThat(stops.coldest()).isBetween(-45.8, -45.6));
        events.add(new StationEvent(What.TICKED, Station.MAKE_SAFE, Safety.CLOSED, "", Amps.NOON));
        assertThat(new RunProgress(sheet, events).missing())
                .as("that the chassis is closed now says nothing of what was soldered in it")
                .isEqualTo(asked);
    }

    @Test
    void newTubesAskForTheColdestEndAndWhetherItIsVerified() {
        AmpSheet sheet = PAIR.withPots(List.of(
                new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, false),
                new Pot("BAL", Pot.Action.BALANCE, "", Pot.Turn.UNKNOWN, false)));
        events.add(new StationEvent(What.TICKED, Station.TUBES, Safety.NEW_TUBES, "", Amps.NOON));
        List<SafetyItem> missing = new RunProgress(sheet, events).missing();
        assertThat(missing).extracting(SafetyItem::id).endsWith("coldest-RANGE").doesNotContain("coldest-BAL");
        assertThat(missing.get(missing.size() - 1).says())
                .isEqualTo(new StationFinding.ColdestAnticlockwise("RANGE", new StationFinding.NotVerified()));
    }

    @TestFactory
    List<DynamicTest> everyStationOfEveryKindOfAmpHasSomethingToSayAndToMind() {
        List<DynamicTest> tests = new ArrayList<>();
        for (AmpSheet sheet : List.of(PAIR, Amps.quad())) {
            for (Station station : Station.values()) {
                StationGuide guide = StationGuide.of(station, sheet);
                tests.add(DynamicTest.dynamicTest(station + " " + sheet.tubeType(), () -> {
                    assertThat(guide.say()).isNotNull();
                    assertThat(guide.todo()).isNotEmpty();
                    assertThat(guide.cautions()).isNotEmpty();
                    assertThat(Station.of(station.token())).contains(station);
                }));
            }
        }
        return tests;
    }

    @Test
    void theGuideFollowsTheAmp() {
        assertThat(StationGuide.of(Station.SET, Amps.quad()).say()).isEqualTo(new StationFinding.CathodeBiasHere());
        assertThat(StationGuide.of(Station.SET, PAIR).measure()).contains(new StationFinding.SwingToOneStop());
        assertThat(StationGuide.of(Station.POWER_UP, PAIR).todo()).contains(new StationFinding.OnWithTheMains());
        AmpSheet bare = Amps.with(PAIR, CurrentSense.direct(CurrentMethod.HALF_PRIMARY));
        assertThat(StationGuide.of(Station.PLAN, bare).todo())
                .contains(new StationFinding.ReadByHalfPrimary(CurrentMethod.HALF_PRIMARY));
    }
}
