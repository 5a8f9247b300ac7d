package yellowrail.core.practice;

import java.util.Arrays;
import java.util.Optional;

/** What is wrong with a practice amp. The number is all that is told before it is marked. */
public enum Exercise {
    NOTHING_WRONG(true, Evidence.A_TURN),
    LEAKY_CAPACITOR(false, Evidence.AN_EXCHANGE),
    BALANCE_ONLY(false, Evidence.A_TURN),
    MAINS_LOW(true, Evidence.A_TURN),
    CREEPING_TUBE(false, Evidence.READINGS),
    UNLOADED_VOLTAGE(true, Evidence.A_TURN),
    MISMATCHED_PAIR(true, Evidence.A_TURN),
    OPEN_POT(false, Evidence.A_TURN),
    SHARED_RESISTOR(true, Evidence.A_TURN),
    WRONG_DIRECTION(true, Evidence.A_TURN),
    SOAK_SETTLING(false, Evidence.A_SOAK),
    SOAK_CREEP(false, Evidence.AN_EXCHANGE),
    SOAK_LEAK(false, Evidence.AN_EXCHANGE),
    SOAK_RUNAWAY(false, Evidence.READINGS),
    SOAK_MAINS(false, Evidence.A_SOAK),
    /** The wiper leaves its track while it is turned. */
    WORN_WIPER(false, Evidence.A_TURN);

    /** What a diagnosis must rest on besides a reading at every test point: without it, it is a guess. */
    enum Evidence {
        READINGS,
        A_TURN,
        AN_EXCHANGE,
        A_SOAK
    }

    private final boolean settable;
    private final Evidence evidence;

    Exercise(boolean settable, Evidence evidence) {
        this.settable = settable;
        this.evidence = evidence;
    }

    Evidence evidence() {
        return evidence;
    }

    /** Whether the amp is found set, and is to be watched. */
    public boolean isSoak() {
        return compareTo(SOAK_SETTLING) >= 0 && compareTo(SOAK_MAINS) <= 0;
    }

    /** What is to be said of it: the same fault may be met slowly or at once. */
    public Exercise diagnosis() {
        return switch (this) {
            case SOAK_SETTLING -> NOTHING_WRONG;
            case SOAK_CREEP -> CREEPING_TUBE;
            case SOAK_LEAK -> LEAKY_CAPACITOR;
            case WORN_WIPER -> OPEN_POT;
            default -> this;
        };
    }

    /** Whether it can be set right with its pot. */
    public boolean isSettable() {
        return settable;
    }

    public static Optional<Exercise> of(String name) {
        return Arrays.stream(values())
                .filter(exercise -> exercise.name().equals(name))
                .findFirst();
    }
}
