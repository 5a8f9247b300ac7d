package yellowrail.core.reading;

/**
 * One thing said on the entry line.
 *
 * @param kind   what it is about
 * @param target the socket or test point it was taken at; blank for the whole amp
 * @param value  SI; minutes since the switch for {@link ReadingKind#POWER_ON}, 0 where there is none
 * @param words  the words of a note or mark; blank otherwise
 */
public record Entry(ReadingKind kind, String target, double value, String words) {

    public static Entry measured(ReadingKind kind, String target, double value) {
        return new Entry(kind, target, value, "");
    }

    public Entry withValue(double other) {
        return new Entry(kind, target, other, words);
    }
}
