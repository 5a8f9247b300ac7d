package yellowrail.web.sitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.jdbc.core.simple.JdbcClient;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.drawer.DrawerFinding;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.QueryCount;
import yellowrail.web.RunningApplication;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;

@ExtendWith(RunningApplication.class)
class SittingServiceTest {

    private static final AtomicInteger LABELS = new AtomicInteger();
    private static final String A_MINUTE_APART = """
            INSERT INTO reading (run_id, sheet_version, kind, target, value, typed, taken_at, entered_at)
            SELECT :run, 1, 'SENSE_VOLTS', 'V2', 0.030, 'V2 30', :from + make_interval(mins => i), now()
            FROM generate_series(1, 600) i""";

    private final SittingService sittings = RunningApplication.bean(SittingService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final SeatService seats = RunningApplication.bean(SeatService.class);
    private final JdbcClient database = RunningApplication.bean(JdbcClient.class);
    private final OffsetDateTime begun = OffsetDateTime.now().minusDays(1);
    private long amp;
    private long first;
    private long second;
    private long run;

    private static long tube() {
        DrawerTube tube =
                new DrawerTube("5881", "sat " + LABELS.incrementAndGet(), "", "", Optional.empty(), TubeState.USED, "");
        return RunningApplication.bean(DrawerService.class)
                .add(new DrawerRow(tube, Optional.empty(), Map.of()))
                .orElseThrow();
    }

    @BeforeEach
    void aPairInAnAmpWithARun() {
        amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("5881").orElseThrow(),
                                2,
                                false)
                        .sheet());
        first = tube();
        second = tube();
        seats.place(amp, Map.of("V1", first, "V2", second), begun.minusHours(1));
        run = runs.begin(amp).id();
    }

    /** A minute apart, from the beginning. */
    private void log(String... lines) {
        for (int i = 0; i < lines.length; i++) {
            entries.enterAsFound(run, lines[i], begun.plusMinutes(i));
        }
    }

    private void creep() {
        log("on", "V1 30", "V2 30", "V1 31", "V2 30.1", "V1 32", "V2 30", "V1 33.5", "V2 30.1", "off");
    }

    @Test
    void anOpenRunTellsTheSameAsWhenItIsClosed() {
        creep();
        List<Sat> open = sittings.ofTube(first);
        assertThat(open).singleElement().satisfies(sat -> {
            assertThat(sat.sitting().on()).isEqualTo(Duration.ofMinutes(9));
            assertThat(sat.sitting().findings())
                    .singleElement()
                    .isInstanceOfSatisfying(
                            DrawerFinding.Crept.class,
                            crept -> assertThat(crept.by()).isCloseTo(0.1167, within(1e-4)));
        });
        assertThat(sittings.suspectNow()).contains(first).doesNotContain(second);
        runs.close(run);
        assertThat(sittings.ofTube(first)).isEqualTo(open);
        assertThat(sittings.suspects(Set.of(first, second))).containsOnlyKeys(first);
        assertThat(sittings.suspectNow()).doesNotContain(first);
    }

    private List<Long> inAmp() {
        return seats.ofAmp(amp).stream().map(Seat::tubeId).toList();
    }

    /** What is typed at the run moves the drawer's tubes too: the hours are then theirs. */
    @Test
    void tubesMoveInTheDrawerAsTheyAreLogged() {
        log("on", "V1 30", "V2 30", "off", "swap V1 V2");
        assertThat(inAmp()).containsExactly(second, first);
        entries.enter(run, "undo", "", true);
        entries.enter(run, "undo", "", true);
        assertThat(inAmp()).containsExactly(first, second);
        long third = tube();
        String label = "sat " + LABELS.get();
        log("tube V1 5881 " + label);
        assertThat(inAmp()).containsExactly(third, second);
        log("tube V2 5881 new");
        assertThat(inAmp()).containsExactly(third);
        entries.enter(run, "undo", "", true);
        assertThat(inAmp()).containsExactly(third, second);
    }

    @Test
    void aReadingThatIsStruckSpeaksAgainstNobody() {
        creep();
        assertThat(sittings.suspects(Set.of(first))).containsKey(first);
        runs.readings(run).stream()
                .filter(reading -> reading.value() > 0.0334 && reading.value() < 0.0336)
                .forEach(reading -> entries.strike(run, reading.id()));
        assertThat(sittings.ofTube(first).get(0).sitting().findings()).singleElement();
        runs.readings(run).stream()
                .filter(reading -> reading.entry().target().equals("V1"))
                .forEach(reading -> entries.strike(run, reading.id()));
        assertThat(sittings.suspects(Set.of(first))).isEmpty();
    }

    /** Longer than what the pages follow one by one: the creep at its beginning and all of its hours count. */
    @Test
    void nothingOfALongRunIsForgotten() {
        creep();
        entries.enterAsFound(run, "on", begun.plusMinutes(20));
        database.sql(A_MINUTE_APART)
                .param("run", run)
                .param("from", begun.plusMinutes(20))
                .update();
        Sat open = sittings.ofTube(first).get(0);
        assertThat(open.sitting().on()).isEqualTo(Duration.ofMinutes(609));
        assertThat(open.isSuspect()).isTrue();
        runs.close(run);
        assertThat(sittings.ofTube(first)).containsExactly(open);
    }

    @Test
    void hoursOfEveryRunCountHoweverManyThereAre() {
        int many = 60;
        for (int i = 0; i < many; i++) {
            log("on", "V1 30", "off");
            runs.close(run);
            run = runs.begin(amp).id();
        }
        assertThat(sittings.ofTube(first))
                .hasSize(many)
                .allSatisfy(sat -> assertThat(sat.sitting().on()).isEqualTo(Duration.ofMinutes(2)));
        assertThat(sittings.ofTube(first).get(0).runId())
                .as("newest first")
                .isGreaterThan(sittings.ofTube(first).get(1).runId());
    }

    @Test
    void eachTubeHasWhatWasLoggedWhileItSatThere() {
        log("on", "V1 30", "V1 30", "off");
        long third = tube();
        seats.place(amp, Map.of("V1", third), begun.plusMinutes(10));
        entries.enterAsFound(run, "on", begun.plusMinutes(20));
        entries.enterAsFound(run, "V1 31", begun.plusMinutes(25));
        assertThat(sittings.ofTube(first).get(0).sitting().on()).isEqualTo(Duration.ofMinutes(3));
        assertThat(sittings.ofTube(third).get(0).sitting().on()).isEqualTo(Duration.ofMinutes(5));
        runs.close(run);
        assertThat(sittings.ofTube(first).get(0).sitting().on()).isEqualTo(Duration.ofMinutes(3));
        assertThat(sittings.ofTube(third).get(0).sitting().on()).isEqualTo(Duration.ofMinutes(5));
    }

    /** As an application of before has left it. */
    @Test
    void runsClosedBeforeThereWereSittingsAreGoneThroughAtTheStart() {
        creep();
        runs.close(run);
        List<Sat> told = sittings.ofTube(first);
        database.sql("DELETE FROM sitting WHERE run_id = ?").param(run).update();
        database.sql("UPDATE bench_run SET sittings_written = false WHERE id = ?")
                .param(run)
                .update();
        assertThat(sittings.ofTube(first)).isEmpty();
        RunningApplication.bean(SittingsOfBefore.class).run(new DefaultApplicationArguments());
        assertThat(sittings.ofTube(first)).isEqualTo(told);
        assertThat(sittings.missing()).isEmpty();
    }

    @Test
    void anOpenRunIsReadAgainOnlyWhenItHasChanged() {
        creep();
        QueryCount queries = RunningApplication.bean(QueryCount.class);
        int read = queries.during(() -> sittings.ofTube(first));
        int remembered = queries.during(() -> sittings.ofTube(first));
        assertThat(remembered).isLessThan(read);
        entries.enterAsFound(run, "V2 30.2", begun.plusMinutes(30));
        assertThat(queries.during(() -> sittings.ofTube(first))).isEqualTo(read);
    }
}
