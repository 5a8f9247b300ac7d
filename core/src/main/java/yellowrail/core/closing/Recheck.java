package yellowrail.core.closing;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * When an amp is to be looked at again.
 *
 * @param kind how long after it was left
 * @param at when
 */
public record Recheck(Kind kind, Instant at) {

    /** How long after an amp was left, and how much earlier a reading already tells the same. */
    public enum Kind {
        MINUTES(Duration.ofMinutes(20), Duration.ofMinutes(5)),
        FIRST_DAY(Duration.ofDays(1), Duration.ofHours(8)),
        SECOND_DAY(Duration.ofDays(2), Duration.ofHours(8)),
        THIRD_DAY(Duration.ofDays(3), Duration.ofHours(8)),
        WEEK(Duration.ofDays(7), Duration.ofDays(2)),
        MONTH(Duration.ofDays(30), Duration.ofDays(7)),
        QUARTER(Duration.ofDays(91), Duration.ofDays(21));

        private final Duration after;
        private final Duration early;

        Kind(Duration after, Duration early) {
            this.after = after;
            this.early = early;
        }

        /** A reading so much before it is due ticks it off. */
        public Duration early() {
            return early;
        }
    }

    /**
     * New tubes move most in their first days. Old ones that stood through their soak are looked at when the amp comes
     * by; one that crept or moved, or that nobody watched, is looked at as if it were new.
     *
     * @param left when the run was closed
     * @param news whether a tube was logged as new
     * @param flagged whether something is open or suspect
     */
    public static List<Recheck> plan(Instant left, boolean news, boolean flagged) {
        List<Recheck> plan = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            boolean daily = kind == Kind.FIRST_DAY || kind == Kind.SECOND_DAY || kind == Kind.THIRD_DAY;
            if (!daily || news || flagged) {
                plan.add(new Recheck(kind, left.plus(kind.after)));
            }
        }
        return plan;
    }

    /** An amp that stands as it was left, and has no more looks before it. */
    public static Recheck again(Instant left) {
        return new Recheck(Kind.QUARTER, left.plus(Kind.QUARTER.after));
    }
}
