package yellowrail.core.ring;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is said of tapped tubes. */
public sealed interface RingFinding extends Finding {

    // Of a recording

    record NothingStruck(
            @In(value = Unit.SECOND, decimals = 1) double seconds) implements RingFinding {}

    /** @param fitted the first of them */
    record MoreTaps(int heard, int fitted) implements RingFinding {}

    /** The card clipped: rings were louder than is told. */
    record CardFull() implements RingFinding {}

    /** A tone that is there before anything is struck. */
    record SoundsByItself(
            @In(value = Unit.HERTZ, decimals = 0) double hertz) implements RingFinding {}

    // Of a tube

    record Dead(int taps) implements RingFinding {}

    /** @param decay until it has fallen by 60 dB */
    record RingsUnderTheTap(
            @In(value = Unit.HERTZ, decimals = 0) double hertz,
            @In(value = Unit.SECOND, decimals = 2) double decay) implements RingFinding {}

    /** So slowly that it sings on in music. */
    record RingsOn(
            @In(value = Unit.HERTZ, decimals = 0) double hertz,
            @In(value = Unit.SECOND, decimals = 1) double decay) implements RingFinding {}

    record NeverStops(@In(value = Unit.HERTZ, decimals = 0) double hertz) implements RingFinding {}

    // Tube against tube

    /** @param times as loud as the quietest */
    record Louder(@In(decimals = 1) double times) implements RingFinding {}

    /** @param apart what the taps of one tube differ by, as a ratio */
    record AsTheTapsDiffer(
            @In(decimals = 1) double times,
            @In(decimals = 1) double apart) implements RingFinding {}

    record OneTapEach(@In(decimals = 1) double times) implements RingFinding {}

    record GainNotTold() implements RingFinding {}

    record Quietest() implements RingFinding {}
}
