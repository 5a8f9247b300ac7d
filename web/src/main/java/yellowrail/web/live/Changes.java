package yellowrail.web.live;

import java.io.IOException;
import java.sql.SQLException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import yellowrail.web.rounds.Rounds;

/**
 * Passes on what the database tells of changes, to every page that looks at the run or its amp. While nobody looks,
 * nobody listens. A page that begins to look, or whose connection was gone, or that looked on while the database was
 * away, is told of the newest change there is, of whatever: it may have missed something.
 */
@Service
public class Changes extends Rounds {

    private static final Logger LOG = LoggerFactory.getLogger(Changes.class);
    private static final Duration BETWEEN_WORDS = Duration.ofMillis(1);
    private static final int MOST_PAGES = 200;
    /** After so long without a word a connection that is gone is noticed: by writing to it. */
    private static final long QUIET_NANOS = 15_000_000_000L;

    private static final long BETWEEN_ATTEMPTS_MILLIS = 1000;

    private final Ear ear;
    private final SeenMapper seen;
    private final List<Page> pages = new CopyOnWriteArrayList<>();
    /** When all are told that we are here; only the rounds look at it. */
    private long nextWord = System.nanoTime();

    private record Page(long runId, long ampId, SseEmitter line) {

        boolean looksAt(Ear.Change change) {
            return change.ofAmp() ? change.id() == ampId : change.id() == runId;
        }
    }

    Changes(Ear ear, SeenMapper seen) {
        super("changes", 1, Duration.ZERO, BETWEEN_WORDS);
        this.ear = ear;
        this.seen = seen;
    }

    /** The first change that a page which is put together from now on may not have seen. */
    public long notSeenFrom() {
        return seen.notSeenFrom();
    }

    /** A page begins to look. What is stored from now on it is told of; what was stored before it asks about once. */
    public SseEmitter follow(long runId, long ampId) {
        // Without an end: a page that goes away is noticed when it is written to.
        SseEmitter line = new SseEmitter(0L);
        Page page = new Page(runId, ampId, line);
        line.onCompletion(() -> pages.remove(page));
        line.onError(gone -> pages.remove(page));
        if (pages.size() >= MOST_PAGES) {
            line.complete();
            return line;
        }
        pages.add(page);
        synchronized (pages) {
            pages.notifyAll();
        }
        try {
            tell(page, seen.notSeenFrom() - 1);
        } catch (DataAccessException away) {
            pages.remove(page);
            throw away;
        }
        return line;
    }

    int pages() {
        return pages.size();
    }

    @Override
    protected void look() {
        try {
            awaitPages();
            if (ear.opened()) {
                long missed = seen.notSeenFrom() - 1;
                pages.forEach(page -> tell(page, missed));
            }
            for (Ear.Change change : ear.hear()) {
                pages.stream().filter(page -> page.looksAt(change)).forEach(page -> tell(page, change.transaction()));
            }
            sayThatWeAreHere();
        } catch (SQLException | RuntimeException trouble) {
            LOG.debug("changes are not heard: {}", trouble.getMessage());
            ear.close();
            pause();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** Nobody listens while nobody looks. */
    private void awaitPages() throws InterruptedException {
        if (pages.isEmpty()) {
            ear.close();
        }
        synchronized (pages) {
            while (pages.isEmpty()) {
                pages.wait();
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(BETWEEN_ATTEMPTS_MILLIS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void sayThatWeAreHere() {
        long now = System.nanoTime();
        if (now - nextWord >= 0) {
            nextWord = now + QUIET_NANOS;
            pages.forEach(page -> send(page, SseEmitter.event().comment("here")));
        }
    }

    private void tell(Page page, long transaction) {
        send(page, SseEmitter.event().name("changed").data(String.valueOf(transaction), MediaType.TEXT_PLAIN));
    }

    private void send(Page page, SseEmitter.SseEventBuilder word) {
        try {
            page.line().send(word);
        } catch (IOException | IllegalStateException gone) {
            pages.remove(page);
            page.line().completeWithError(gone);
        }
    }

    /** Pages that look keep nothing from ending. */
    @Override
    public void stop() {
        super.stop();
        pages.forEach(page -> page.line().complete());
        pages.clear();
        ear.close();
    }
}
