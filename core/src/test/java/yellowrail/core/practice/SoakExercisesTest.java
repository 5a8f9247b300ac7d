package yellowrail.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.drift.Common;
import yellowrail.core.drift.DriftState;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.soak.Soak;
import yellowrail.core.soak.SoakFinding;
import yellowrail.core.soak.SoakTeller;
import yellowrail.core.timeline.Timeline;

/** Each soak exercise, watched by a logger every 20 s: the page comes to the truth, whichever amp the seed makes. */
class SoakExercisesTest {

    private final List<Reading> log = new ArrayList<>();
    private Bench bench;

    private void begin(Exercise exercise, long seed) {
        bench = new Workshop(exercise, seed).bench();
        on();
    }

    private void say(Entry entry) {
        log.add(new Reading(
                log.size() + 1L,
                entry,
                Instant.EPOCH.plusMillis(Math.round(1000 * bench.state().seconds())),
                log.size() + 1L,
                1));
    }

    private void on() {
        say(Entry.said(ReadingKind.POWER_ON, "", ""));
        bench.power(true);
    }

    private void exchange() {
        bench.power(false);
        say(Entry.said(ReadingKind.POWER_OFF, "", ""));
        bench.swap(0, 1);
        say(Entry.said(ReadingKind.TUBE, "V1", "of V2"));
        say(Entry.said(ReadingKind.TUBE, "V2", "of V1"));
        on();
    }

    private void watch(int minutes) {
        for (int i = 0; i < 3 * minutes; i++) {
            bench.advance(20);
            bench.readAll().forEach(this::say);
        }
    }

    private Timeline timeline() {
        return Timeline.of(Amps.CATALOGUE, bench.sheet(), Moment.EMPTY, log);
    }

    private List<DriftState> states() {
        return Soak.of(timeline()).points().stream()
                .map(point -> point.now().state())
                .toList();
    }

    private List<SoakFinding> whose() {
        Timeline timeline = timeline();
        return new SoakTeller(
                        Soak.of(timeline),
                        bench.sheet(),
                        StageIdle.of(timeline.present()).at(timeline.present()))
                .whose();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void itIsFoundSetAndAGoodAmpSettles(long seed) {
        begin(Exercise.SOAK_SETTLING, seed);
        watch(30);
        assertThat(states()).noneMatch(DriftState::isTrouble);
        assertThat(bench.settled().watts(0) / bench.ratedWatts()).isBetween(0.55, 0.65);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aCreepIsFoundAndFollowsItsTube(long seed) {
        begin(Exercise.SOAK_CREEP, seed);
        watch(20);
        assertThat(states().get(0)).isEqualTo(DriftState.CREEPING);
        assertThat(states().get(1).isTrouble()).isFalse();
        exchange();
        watch(22);
        assertThat(whose().get(0)).isInstanceOf(SoakFinding.FollowedTube.class);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aLeakIsFoundAndStaysWithItsSocket(long seed) {
        begin(Exercise.SOAK_LEAK, seed);
        watch(20);
        assertThat(states().get(1).isTrouble()).isTrue();
        assertThat(states().get(0).isTrouble()).isFalse();
        exchange();
        watch(22);
        assertThat(whose().get(0)).isEqualTo(new SoakFinding.StayedWithSocket("V2"));
        assertThat(whose()).anyMatch(SoakFinding.LeakVolts.class::isInstance);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aRunawayIsCalledBeforeTheTubeIsLost(long seed) {
        begin(Exercise.SOAK_RUNAWAY, seed);
        int minutes = 0;
        while (Soak.of(timeline()).runaway().isEmpty() && minutes < 40) {
            watch(1);
            minutes++;
        }
        assertThat(Soak.of(timeline()).runaway()).isPresent();
        assertThat(bench.isDead(0)).isFalse();
        assertThat(bench.glows(0)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aMainsThatDriftsAccusesNobody(long seed) {
        begin(Exercise.SOAK_MAINS, seed);
        watch(25);
        assertThat(states()).noneMatch(DriftState::isTrouble);
        assertThat(Soak.of(timeline()).common()).isEqualTo(Common.MAINS);
    }
}
