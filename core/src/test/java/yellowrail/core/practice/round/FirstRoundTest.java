package yellowrail.core.practice.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Finding;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.Marking;
import yellowrail.core.practice.Workshop;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationEvent;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;

/** Somebody who does what the hints say, and nothing else. */
class FirstRoundTest {

    private static final Instant BEGUN = Instant.parse("2026-03-01T10:00:00Z");
    private static final int MOST = 200;
    private static final double STEP = 0.01;

    private final List<Reading> log = new ArrayList<>();
    private final List<StationEvent> events = new ArrayList<>();
    private final List<Class<? extends Finding>> heard = new ArrayList<>();
    private Bench bench = amp(5);

    private static Bench amp(long seed) {
        return new Workshop(Exercise.NOTHING_WRONG, seed).bench();
    }

    private Instant now() {
        return BEGUN.plusMillis(Math.round(1000 * bench.state().seconds()));
    }

    private RunProgress progress() {
        return new RunProgress(bench.sheet(), events);
    }

    private Optional<RoundFinding> hint(Station at) {
        Timeline timeline = Timeline.of(TubeCatalogue.published(), bench.sheet(), Moment.EMPTY, log);
        return new FirstRound(bench, timeline, progress(), now()).next(at);
    }

    private void add(Entry entry) {
        log.add(new Reading(log.size() + 1L, entry, now()));
    }

    private void event(StationEvent.What what, Station station, String item) {
        events.add(new StationEvent(what, station, item, "", now()));
    }

    private void read(String place) {
        bench.place(place);
        bench.advance(2);
        add(bench.read(place));
    }

    private void turn(RoundFinding.Turn turn) {
        double from = bench.state().pots().get(0);
        double shown = bench.read(turn.point()).value();
        boolean up = shown < turn.reading().si();
        bench.turn(0, Math.max(0, Math.min(1, from + (up ? STEP : -STEP))));
        Pot.Turn way = up ? Pot.Turn.CLOCKWISE : Pot.Turn.ANTICLOCKWISE;
        add(Entry.turned(bench.sheet().pots().get(0).name(), way));
        read(turn.point());
    }

    private void power(boolean on) {
        bench.power(on);
        add(Entry.said(on ? ReadingKind.POWER_ON : ReadingKind.POWER_OFF, "", ""));
    }

    private void follow(RoundFinding hint) {
        Station here = progress().next();
        if (hint instanceof RoundFinding.TickThese) {
            event(StationEvent.What.TICKED, here, progress().missing().get(0).id());
        } else if (hint instanceof RoundFinding.SwitchOn) {
            power(true);
        } else if (hint instanceof RoundFinding.SwitchOff) {
            power(false);
        } else if (hint instanceof RoundFinding.LetItWarm) {
            bench.advance(60);
        } else if (hint instanceof RoundFinding.LetItSoak) {
            bench.advance(600);
        } else if (hint instanceof RoundFinding.ReadMains) {
            read("mains");
        } else if (hint instanceof RoundFinding.ReadPlates) {
            read("plate");
        } else if (hint instanceof RoundFinding.ReadPoint point) {
            read(point.point());
        } else if (hint instanceof RoundFinding.WatchPoint point) {
            read(point.point());
        } else if (hint instanceof RoundFinding.AllReadAgain all) {
            read(all.place());
        } else if (hint instanceof RoundFinding.Turn turn) {
            turn(turn);
        } else if (hint instanceof RoundFinding.SayHowItSounds) {
            add(Entry.said(ReadingKind.NOTE, "", "clean, no hum"));
        } else {
            assertThat(hint)
                    .isInstanceOfAny(
                            RoundFinding.ReadTheSheet.class, RoundFinding.TubesAreIn.class, RoundFinding.Onward.class);
            event(StationEvent.What.DONE, here, "");
        }
    }

    /** @return how many hints it took to the last one */
    private int goRound() {
        for (int hints = 1; hints < MOST; hints++) {
            Station here = progress().next();
            RoundFinding hint = hint(here).orElseThrow(() -> new AssertionError("no hint at " + here + ": " + heard));
            heard.add(hint.getClass());
            if (hint instanceof RoundFinding.CloseTheRun) {
                return hints;
            }
            follow(hint);
        }
        throw new AssertionError("the hints lead round in a circle: " + heard);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 5, 8, 13, 21, 34, 55, 89, 144, 233})
    void whoDoesWhatTheHintsSayHasSetItAndHarmedNothing(long seed) {
        bench = amp(seed);
        assertThat(goRound()).isLessThan(MOST);
        Marking marking =
                Marking.of(Exercise.NOTHING_WRONG, bench, Exercise.NOTHING_WRONG, List.of(), OptionalDouble.empty());
        assertThat(marking.passed()).as("%s", marking.lines()).isTrue();
        assertThat(bench.state().above()).isZero();
        assertThat(bench.isOn()).isFalse();
    }

    @Test
    void everyKindOfHintIsHeardButThoseOfGoingAstray() {
        goRound();
        assertThat(heard)
                .contains(
                        RoundFinding.ReadTheSheet.class,
                        RoundFinding.TickThese.class,
                        RoundFinding.TubesAreIn.class,
                        RoundFinding.LetItWarm.class,
                        RoundFinding.WatchPoint.class,
                        RoundFinding.Turn.class,
                        RoundFinding.AllReadAgain.class,
                        RoundFinding.LetItSoak.class,
                        RoundFinding.SayHowItSounds.class)
                .doesNotContain(RoundFinding.OffAtOnce.class, RoundFinding.BackTo.class);
    }

    @Test
    void whoLooksElsewhereIsLedBack() {
        assertThat(hint(Station.SET)).contains(new RoundFinding.BackTo(Station.PLAN, 1));
    }

    @Test
    void aPlateThatGlowsComesBeforeEverything() {
        bench.power(true);
        bench.turn(0, 1);
        bench.advance(120);
        assertThat(hint(Station.PLAN)).get().isInstanceOf(RoundFinding.OffAtOnce.class);
        bench.power(false);
        assertThat(hint(Station.PLAN)).contains(new RoundFinding.ReadTheSheet());
    }

    @Test
    void anAmpThatWasSwitchedOffIsSwitchedOnAgainBeforeItIsRead() {
        for (Station station : List.of(Station.PLAN, Station.MAKE_SAFE, Station.TUBES, Station.POWER_UP)) {
            event(StationEvent.What.DONE, station, "");
        }
        assertThat(hint(Station.MEASURE)).contains(new RoundFinding.SwitchOn());
        power(true);
        assertThat(hint(Station.MEASURE)).contains(new RoundFinding.LetItWarm());
        bench.advance(60);
        assertThat(hint(Station.MEASURE)).contains(new RoundFinding.ReadPoint("V1"));
    }

    /** What the page says of a tube over its rating is not to be drowned by "press Done". */
    @Test
    void aTubeOverItsRatingLeavesThePageTheWord() {
        for (Station station : List.of(Station.PLAN, Station.MAKE_SAFE, Station.TUBES, Station.POWER_UP)) {
            event(StationEvent.What.DONE, station, "");
        }
        power(true);
        bench.turn(0, 1);
        bench.advance(40);
        for (String place : List.of("V1", "V2", "plate")) {
            bench.place(place);
            add(bench.read(place));
        }
        assertThat(hint(Station.MEASURE)).isEmpty();
        power(false);
        assertThat(hint(Station.MEASURE)).contains(new RoundFinding.SwitchOn());
    }
}
