package yellowrail.core.reading;

import java.util.Locale;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Code;

/**
 * One thing said on the entry line.
 *
 * @param kind what it is about
 * @param target the socket or test point it was taken at, or the pot that was turned; blank for the whole amp
 * @param value SI; minutes since the switch for {@link ReadingKind#POWER_ON}, 0 where there is none
 * @param words the words of a note or mark, the way of a turn; blank otherwise
 * @param lastDigit what the last digit stood for as typed, SI: 0.01 for {@code 1.50}; 0 where nothing was typed
 */
public record Entry(ReadingKind kind, String target, double value, String words, double lastDigit) {

    public Entry(ReadingKind kind, String target, double value, String words) {
        this(kind, target, value, words, 0);
    }

    public static Entry measured(ReadingKind kind, String target, double value) {
        return new Entry(kind, target, value, "");
    }

    /** Something said without a number. */
    public static Entry said(ReadingKind kind, String target, String words) {
        return new Entry(kind, target, 0, words);
    }

    /** What may have been meant instead: the digits are then not the builder's. */
    public Entry withValue(double other) {
        return new Entry(kind, target, other, words);
    }

    /** The same digits, with another unit or the point elsewhere. */
    public Entry slippedTo(double other) {
        return new Entry(kind, target, other, words, value == 0 ? 0 : Math.abs(lastDigit * other / value));
    }

    /** A turn of a pot. */
    public static Entry turned(String pot, Pot.Turn way) {
        return said(ReadingKind.TURN, pot, Code.of(way));
    }

    /** The same reading of another kind. */
    public Entry as(ReadingKind other) {
        return new Entry(other, target, value, words, lastDigit);
    }

    /** Which way a pot was turned. */
    public Pot.Turn way() {
        return words.equals(Code.of(Pot.Turn.CLOCKWISE)) ? Pot.Turn.CLOCKWISE : Pot.Turn.ANTICLOCKWISE;
    }

    /** Whether a tube that was put in was called a new one. */
    public boolean isNewTube() {
        return kind == ReadingKind.TUBE && words.toLowerCase(Locale.ROOT).contains("new");
    }

    public boolean isCurrent() {
        return kind == ReadingKind.SENSE_VOLTS || kind == ReadingKind.SENSE_AMPS;
    }
}
