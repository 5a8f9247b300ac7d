package yellowrail.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.QueryCount;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.SeatService;

/** No page asks the database once per row: the statements it takes do not rise with what it shows. */
@ExtendWith(RunningApplication.class)
class BenchQueriesTest {

    private static final AtomicInteger LABELS = new AtomicInteger();

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);

    private long amp() {
        long amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("7027A").orElseThrow(),
                                2,
                                false)
                        .sheet());
        DrawerTube tube = new DrawerTube(
                "7027A", "counted " + LABELS.incrementAndGet(), "", "", Optional.empty(), TubeState.USED, "");
        long number = RunningApplication.bean(DrawerService.class)
                .add(new DrawerRow(tube, Optional.empty(), Map.of()))
                .orElseThrow();
        RunningApplication.bean(SeatService.class)
                .place(amp, Map.of("V1", number), OffsetDateTime.now().minusDays(1));
        run(amp);
        return amp;
    }

    /** One closed run and an open one, both with readings. */
    private void run(long amp) {
        for (boolean closed : new boolean[] {true, false}) {
            long run = runs.begin(amp).id();
            entries.enterAsFound(run, "on", OffsetDateTime.now().minusMinutes(9));
            entries.enterAsFound(run, "V1 30; V2 31; plate 430", OffsetDateTime.now());
            if (closed) {
                runs.close(run);
            }
        }
    }

    private int statements(String path) {
        return RunningApplication.bean(QueryCount.class)
                .during(() -> assertThat(visitor.get(path).statusCode()).isEqualTo(200));
    }

    @Test
    void theBenchTakesAsManyForAFewAmpsAsForMany() {
        amp();
        int few = statements("/");
        for (int i = 0; i < 15; i++) {
            amp();
        }
        assertThat(statements("/")).isLessThanOrEqualTo(few).isLessThan(16);
        assertThat(statements("/")).as("nothing has changed").isLessThan(few);
    }

    @Test
    void theRunsOfAnAmpTakeAsManyForOneAsForMany() {
        long amp = amp();
        int few = statements("/amps/" + amp + "/runs");
        for (int i = 0; i < 10; i++) {
            runs.close(runs.newestOf(amp).orElseThrow().id());
            run(amp);
        }
        assertThat(statements("/amps/" + amp + "/runs"))
                .isLessThanOrEqualTo(few)
                .isLessThan(12);
    }

    @Test
    void theDrawerTakesAsManyForAFewTubesAsForMany() {
        amp();
        int few = statements("/drawer?type=7027A&q=counted");
        for (int i = 0; i < 15; i++) {
            amp();
        }
        assertThat(statements("/drawer?type=7027A&q=counted"))
                .isLessThanOrEqualTo(few)
                .isLessThan(24);
    }
}
