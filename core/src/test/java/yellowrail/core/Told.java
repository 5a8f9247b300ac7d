package yellowrail.core;

import java.util.Collection;
import yellowrail.core.finding.Finding;

/** Picks the one finding of a kind from what is told. */
public final class Told {

    private Told() {}

    public static <F extends Finding> F one(Collection<? extends Finding> told, Class<F> kind) {
        return told.stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .findFirst()
                .orElseThrow(() -> new AssertionError("no %s in %s".formatted(kind.getSimpleName(), told)));
    }
}
