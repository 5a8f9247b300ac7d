package yellowrail.web.rounds;

import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.context.SmartLifecycle;

/**
 * Looks after something in rounds, from the start of the application to its end, on threads that keep nothing alive.
 */
public abstract class Rounds implements SmartLifecycle {

    private final String name;
    private final int threads;
    private final Duration first;
    private final Duration between;
    private ScheduledExecutorService clock;

    /**
     * @param name of the threads
     * @param threads how many there are: one that looks, and others for {@link #aside}
     * @param first how long after the start the first round is
     * @param between from the end of a round to the next
     */
    protected Rounds(String name, int threads, Duration first, Duration between) {
        this.name = name;
        this.threads = threads;
        this.first = first;
        this.between = between;
    }

    /** One round. It throws nothing, or it is the last. */
    protected abstract void look();

    /** Does something beside the rounds. */
    protected final void aside(Runnable work) {
        clock.execute(work);
    }

    @Override
    @SuppressWarnings("FutureReturnValueIgnored") // A round throws nothing.
    public void start() {
        clock = Executors.newScheduledThreadPool(threads, task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        });
        clock.scheduleWithFixedDelay(this::look, first.toMillis(), between.toMillis(), TimeUnit.MILLISECONDS);
    }

    @Override
    public void stop() {
        clock.shutdownNow();
        clock = null;
    }

    @Override
    public boolean isRunning() {
        return clock != null;
    }
}
