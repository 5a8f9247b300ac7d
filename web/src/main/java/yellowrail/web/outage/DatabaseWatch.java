package yellowrail.web.outage;

import java.io.IOException;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import yellowrail.web.postgres.PostgresException;
import yellowrail.web.postgres.PrivatePostgres;
import yellowrail.web.rounds.Rounds;

/**
 * Sees that our own database server runs, and starts it again when it does not: at once the first time, then after ever
 * longer pauses. A look costs two small files of the system; the server itself is asked when a request had trouble. A
 * server that somebody else runs is let alone.
 */
@Component
class DatabaseWatch extends Rounds {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseWatch.class);
    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(500);
    private static final Duration LONGEST_PAUSE = Duration.ofSeconds(15);

    private final Optional<PrivatePostgres> postgres;
    private final AtomicBoolean doubted = new AtomicBoolean();
    private volatile boolean here = true;
    private int failures;
    private long notBefore;

    DatabaseWatch(ObjectProvider<PrivatePostgres> postgres) {
        super("database-watch", 1, BETWEEN_LOOKS, BETWEEN_LOOKS);
        this.postgres = Optional.ofNullable(postgres.getIfAvailable());
    }

    /** A request had trouble: the server is asked at the next look, however alive it seems. */
    void doubt() {
        doubted.set(true);
    }

    /** Whether it runs, as far as the last look tells. */
    boolean isHere() {
        return here;
    }

    boolean isOurs() {
        return postgres.isPresent();
    }

    @Override
    public boolean isAutoStartup() {
        return postgres.isPresent();
    }

    @Override
    protected void look() {
        postgres.ifPresent(this::look);
    }

    private void look(PrivatePostgres own) {
        try {
            boolean asked = doubted.getAndSet(false);
            if (here && own.runs() && (!asked || own.answers())) {
                return;
            }
            here = false;
            if (System.nanoTime() - notBefore >= 0) {
                bringUp(own);
            }
        } catch (RuntimeException e) {
            LOG.warn("the database could not be looked after: {}", e.getMessage());
        }
    }

    private void bringUp(PrivatePostgres own) {
        try {
            own.bringUp();
            LOG.warn("the database had stopped and runs again");
            failures = 0;
            here = true;
        } catch (IOException | SQLException | PostgresException e) {
            failures++;
            long pause = Math.min(LONGEST_PAUSE.toMillis(), BETWEEN_LOOKS.toMillis() << Math.min(failures, 10));
            notBefore = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(pause);
            LOG.warn("the database does not start, next attempt in {} ms: {}", pause, e.getMessage());
        }
    }
}
