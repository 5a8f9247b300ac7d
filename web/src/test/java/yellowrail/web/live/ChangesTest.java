package yellowrail.web.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.station.Station;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;

/** Whoever looks at a run is told at once when something of it was stored, and of nothing else. */
@ExtendWith(RunningApplication.class)
class ChangesTest {

    private static final long PATIENCE_MILLIS = 5000;

    private final Changes changes = RunningApplication.bean(Changes.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final long run = NewRun.of("6L6GC");

    /** Follows a run as a page does. */
    private static final class Follower implements AutoCloseable {

        private final BlockingQueue<Long> told = new LinkedBlockingQueue<>();
        private final HttpResponse<InputStream> answer;

        Follower(long run) throws Exception {
            answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(RunningApplication.url() + "/runs/" + run + "/changes"))
                                    .header("Accept", "text/event-stream")
                                    .build(),
                            HttpResponse.BodyHandlers.ofInputStream());
            assertThat(answer.statusCode()).isEqualTo(200);
            Thread reader = new Thread(this::read, "follower");
            reader.setDaemon(true);
            reader.start();
        }

        private void read() {
            new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8))
                    .lines()
                    .filter(line -> line.startsWith("data:"))
                    .forEach(line -> told.add(
                            Long.parseLong(line.substring("data:".length()).strip())));
        }

        /** The next change that it is told of within some seconds. */
        long next() throws InterruptedException {
            Long change = told.poll(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
            assertThat(change).as("a word").isNotNull();
            return change;
        }

        void hearsNothing() throws InterruptedException {
            assertThat(told.poll(300, TimeUnit.MILLISECONDS)).isNull();
        }

        /** Past what it is told at the beginning. */
        Follower begun() throws InterruptedException {
            next();
            while (told.poll(1300, TimeUnit.MILLISECONDS) != null) {
                // the connection to the database was opened for it
            }
            return this;
        }

        @Override
        public void close() throws IOException {
            answer.body().close();
        }
    }

    @Test
    void everyPageThatLooksAtTheRunIsToldOfWhatItHasNotSeen() throws Exception {
        long other = NewRun.of("EL34");
        try (Follower one = new Follower(run).begun();
                Follower two = new Follower(run).begun();
                Follower elsewhere = new Follower(other).begun()) {
            long before = changes.notSeenFrom();
            entries.enter(run, "tick closed; on", "", true);
            assertThat(one.next()).isGreaterThanOrEqualTo(before).isLessThan(changes.notSeenFrom());
            assertThat(two.next()).isGreaterThanOrEqualTo(before);
            elsewhere.hearsNothing();
        }
    }

    @Test
    void ticksSheetsAndTheEndOfARunAreToldAsWell() throws Exception {
        RunService runs = RunningApplication.bean(RunService.class);
        AmpService amps = RunningApplication.bean(AmpService.class);
        try (Follower page = new Follower(run).begun()) {
            RunningApplication.bean(StationService.class).done(run, Station.PLAN);
            page.next();
            var amp = amps.newest(runs.run(run).ampId());
            assertThat(amps.save(amp.id(), amp.version(), amp.sheet().withPots(List.of())))
                    .isPresent();
            page.next();
            runs.close(run);
            page.next();
        }
    }

    @Test
    void whatIsUndoneIsNotTold() throws Exception {
        try (Follower page = new Follower(run).begun()) {
            entries.enter(run, "nonsense", "", false);
            page.hearsNothing();
        }
    }

    @Test
    void aPageThatIsGoneIsForgotten() throws Exception {
        int before = changes.pages();
        Follower page = new Follower(run).begun();
        assertThat(changes.pages()).isEqualTo(before + 1);
        page.close();
        for (int i = 0; i < 100 && changes.pages() > before; i++) {
            entries.enter(run, "note still here " + i, "", true);
            Thread.sleep(50);
        }
        assertThat(changes.pages()).isEqualTo(before);
    }

    @Test
    void thereIsNothingToFollowOfARunThatIsNone() {
        assertThat(new Visitor(RunningApplication.url())
                        .get("/runs/999999999/changes")
                        .statusCode())
                .isIn(404, 406);
    }
}
