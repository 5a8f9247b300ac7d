package yellowrail.core.proof;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** Why a climb is over. */
public sealed interface ClimbFinding extends Finding {

    /** Whether what was climbed to is there, so that it can be measured. */
    default boolean isThere() {
        return this instanceof PowerReached || this instanceof Clips;
    }

    record PowerReached(@In(value = Unit.WATT) double watts) implements ClimbFinding {}

    /** The tops are flat. */
    record Clips(@In(value = Unit.PERCENT, decimals = 1) double distortion) implements ClimbFinding {}

    record ClipsBefore(
            @In(value = Unit.WATT) double watts,
            @In(value = Unit.PERCENT, decimals = 0) double distortion) implements ClimbFinding {}

    /** The card gives no more. */
    record NoHigher() implements ClimbFinding {}

    record NothingComesBack() implements ClimbFinding {}

    record CardFull() implements ClimbFinding {}

    /** @param decibels more than was asked for */
    record Jumped(@In(decimals = 0) double decibels) implements ClimbFinding {}

    /** Load or scale is not known. */
    record NoWatts() implements ClimbFinding {}

    /** After so many levels it is neither there nor impossible. */
    record Wanders(int levels) implements ClimbFinding {}
}
