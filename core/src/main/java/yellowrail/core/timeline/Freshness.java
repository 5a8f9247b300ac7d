package yellowrail.core.timeline;

import java.util.Optional;

/**
 * Whether a reading still speaks of what is on the bench.
 *
 * @param kind how
 * @param why what made it so; empty while it is fresh
 */
public record Freshness(Kind kind, Optional<TimelineFinding> why) {

    public static final Freshness FRESH = new Freshness(Kind.FRESH, Optional.empty());

    /** A reading of the present setting, of one before it, of a tube or part that is gone. */
    public enum Kind {
        FRESH,
        STALE,
        OTHER_HARDWARE
    }

    static Freshness stale(TimelineFinding why) {
        return new Freshness(Kind.STALE, Optional.of(why));
    }

    public boolean isFresh() {
        return kind == Kind.FRESH;
    }

    /** The one that says more against a verdict. */
    public Freshness worse(Freshness other) {
        return other.kind.compareTo(kind) > 0 ? other : this;
    }
}
