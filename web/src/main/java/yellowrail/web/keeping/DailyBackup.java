package yellowrail.web.keeping;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import yellowrail.web.postgres.CannotStartException;
import yellowrail.web.postgres.PrivatePostgres;
import yellowrail.web.rounds.Rounds;

/** Makes a backup a day of our own database, and one before its tables are changed. */
@Component
public class DailyBackup extends Rounds {

    private static final Logger LOG = LoggerFactory.getLogger(DailyBackup.class);
    private static final Duration FIRST_LOOK = Duration.ofMinutes(1);
    private static final Duration BETWEEN_LOOKS = Duration.ofMinutes(10);

    private final Optional<PrivatePostgres> postgres;
    private final Clock clock;
    private final ReentrantLock making = new ReentrantLock();
    private volatile String trouble = "";

    DailyBackup(ObjectProvider<PrivatePostgres> postgres, Clock clock) {
        super("backup", 1, FIRST_LOOK, BETWEEN_LOOKS);
        this.postgres = Optional.ofNullable(postgres.getIfAvailable());
        this.clock = clock;
    }

    @Override
    protected void look() {
        try {
            if (backups().filter(Backups::isDue).isPresent()) {
                make();
            }
        } catch (RuntimeException e) {
            LOG.warn("no backup could be made: {}", e.getMessage());
        }
    }

    /** The backups of our own database; none where somebody else runs it. */
    Optional<Backups> backups() {
        return postgres.map(own -> new Backups(own.data(), clock));
    }

    /**
     * Makes one now; while one is being made already, that one will do.
     *
     * @return what went wrong; blank if nothing did
     */
    String make() {
        boolean underWay = making.isLocked();
        making.lock();
        try {
            if (!underWay) {
                write();
            }
            return trouble;
        } finally {
            making.unlock();
        }
    }

    private void write() {
        try {
            postgres.ifPresent(own -> new Backups(own.data(), clock).make(own));
            trouble = "";
        } catch (CannotStartException e) {
            trouble = e.getMessage();
            LOG.warn("no backup could be made: {}", trouble);
        }
    }

    /** What went wrong last time. */
    String trouble() {
        return trouble;
    }

    /**
     * Before the tables take a step: what they were is kept, and stays.
     *
     * @throws CannotStartException if it cannot be kept
     */
    public void beforeStep(String step) {
        postgres.ifPresent(own ->
                new Backups(own.data(), clock).named("before-step-" + step).write(own, clock));
    }
}
