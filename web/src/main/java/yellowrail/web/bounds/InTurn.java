package yellowrail.web.bounds;

import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** One computation at a time that takes much memory, or two where there is plenty; others wait for their turn. */
@Component
public class InTurn {

    private static final int MOST = 2;
    /** Bytes of heap. */
    private static final long EACH = 1L << 30;

    private final Semaphore turns =
            new Semaphore((int) Math.max(1, Math.min(MOST, Runtime.getRuntime().maxMemory() / EACH)), true);

    public <T> T take(Supplier<T> computation) {
        turns.acquireUninterruptibly();
        try {
            return computation.get();
        } finally {
            turns.release();
        }
    }
}
