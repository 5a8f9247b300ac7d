package yellowrail.core.tone;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be told of a recorded tone besides its figures. */
public sealed interface ToneNote extends Finding {

    // Why there are no figures

    /** Every sample is 0. */
    record Silence() implements ToneNote {}

    /** Every sample is the same, part of full scale. */
    record OnlyConstant(
            @In(value = Unit.PERCENT, decimals = 1) double level) implements ToneNote {}

    record TooShort(
            @In(value = Unit.SECOND, decimals = 3) double seconds,
            @In(value = Unit.SECOND, given = true) double least) implements ToneNote {}

    /** Nothing stands out of the noise between these frequencies. */
    record NoTone(
            @In(value = Unit.HERTZ, given = true) double low,
            @In(value = Unit.HERTZ, given = true) double high) implements ToneNote {}

    record TooFewCycles(
            @In(value = Unit.HERTZ, decimals = 1) double hertz,
            @In(decimals = 1) double cycles,
            @In(given = true) double least)
            implements ToneNote {}

    /** So near half the rate that it cannot be told from its mirror. */
    record AtHalfTheRate(
            @In(value = Unit.HERTZ, decimals = 1) double hertz,
            @In(value = Unit.HERTZ, given = true) double half) implements ToneNote {}

    record Unsettled(@In(value = Unit.HERTZ, decimals = 1) double hertz) implements ToneNote {}

    // What to know of the figures

    /** @param first s */
    record CardClipped(
            int samples,
            @In(value = Unit.SECOND, decimals = 3) double first) implements ToneNote {}

    /**
     * A click, a gap, or a tone that was not there all the time.
     *
     * @param first s
     * @param seconds in all
     */
    record NotSteady(
            @In(value = Unit.SECOND, decimals = 2) double first,
            @In(value = Unit.SECOND, decimals = 2) double seconds) implements ToneNote {}

    /** @param part of the fundamental, volts to volts */
    record SecondTone(
            @In(value = Unit.HERTZ, decimals = 1) double hertz,
            @In(value = Unit.PERCENT, decimals = 1) double part) implements ToneNote {}

    /** Two tones that are played together for what they make of each other. */
    record TwoTones(
            @In(value = Unit.HERTZ, decimals = 1) double low,
            @In(value = Unit.HERTZ, decimals = 1) double high) implements ToneNote {}

    /** What was found is a multiple of the mains: hum, unless it was played. */
    record IsMains(
            @In(value = Unit.HERTZ, decimals = 1) double hertz,
            @In(value = Unit.HERTZ, given = true) double mains) implements ToneNote {}

    /** Lines of the mains that lie on harmonics: they count as those. */
    record MainsHidden(@In(value = Unit.HERTZ, given = true) double mains) implements ToneNote {}

    /** The other mains' frequency stands out of the noise, and not the one that was asked for. */
    record OtherMains(
            @In(value = Unit.HERTZ, given = true) double mains,
            @In(value = Unit.HERTZ, given = true) double other) implements ToneNote {}

    /** No harmonic lies below the band's edge. */
    record NoHarmonic(@In(value = Unit.HERTZ, given = true) double high) implements ToneNote {}

    /** A signal that got louder step by step; the figures are of the loudest. */
    record SteppedLevel(int steps) implements ToneNote {}

    /** A signal that went from tone to tone; the figures are of the loudest. */
    record SteppedTones(int steps) implements ToneNote {}
}
