package yellowrail.web.bounds;

import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Two computations at once that each take much memory; others wait for their turn. */
@Component
public class InTurn {

    private static final int AT_ONCE = 2;

    private final Semaphore turns = new Semaphore(AT_ONCE, true);

    public <T> T take(Supplier<T> computation) {
        turns.acquireUninterruptibly();
        try {
            return computation.get();
        } finally {
            turns.release();
        }
    }
}
