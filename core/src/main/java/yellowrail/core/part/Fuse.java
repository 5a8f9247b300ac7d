package yellowrail.core.part;

import java.util.List;

/**
 * A fuse by the current it is marked with, time-lag, IEC 60127: it carries what it is marked with for good and half as
 * much again for an hour, and has opened after two minutes at {@value #OPENS} times that. Fuses marked to other
 * standards carry less of their marking.
 *
 * @param amps it is marked with, A, &gt; 0
 */
public record Fuse(double amps) {

    /** As they are sold, A. */
    public static final List<Double> VALUES = List.of(
            0.05, 0.063, 0.08, 0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1.0, 1.25, 1.6, 2.0, 2.5, 3.15,
            4.0, 5.0, 6.3, 8.0, 10.0);

    /** So many times its marking it carries for an hour. */
    public static final double HOLDS = 1.5;
    /** At so many times its marking it has opened after two minutes. */
    public static final double OPENS = 2.1;

    /** Room above what it carries at full drive, so that it does not tire. */
    public static final double ROOM = 1.25;

    public Fuse {
        if (!(amps > 0)) {
            throw new IllegalArgumentException("a fuse is marked with more than 0 A, was " + amps);
        }
    }

    /** The smallest that is sold for a current it has to carry, RMS, A; the largest where none is enough. */
    public static Fuse carrying(double amps) {
        return new Fuse(VALUES.stream()
                .filter(value -> value >= ROOM * amps)
                .findFirst()
                .orElse(VALUES.get(VALUES.size() - 1)));
    }

    /** Whether it carries a current for good with room to spare. */
    public boolean carries(double current) {
        return current <= amps * (1 + 1e-9) / ROOM;
    }

    /** Whether a current opens it within two minutes. */
    public boolean opensAt(double current) {
        return current >= OPENS * amps;
    }

    /** Whether it may carry a current for an hour and longer. */
    public boolean mayHold(double current) {
        return current <= HOLDS * amps;
    }
}
