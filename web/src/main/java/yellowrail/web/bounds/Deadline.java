package yellowrail.web.bounds;

import java.time.Duration;
import java.util.function.BooleanSupplier;

/** How long one request may compute. */
public final class Deadline {

    private static final Duration LONGEST = Duration.ofSeconds(10);

    private Deadline() {}

    /** Whether the time of a request that begins now is up. */
    public static BooleanSupplier fromNow() {
        long until = System.nanoTime() + LONGEST.toNanos();
        return () -> System.nanoTime() - until > 0;
    }
}
