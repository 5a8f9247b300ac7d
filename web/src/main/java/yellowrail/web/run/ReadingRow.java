package yellowrail.web.run;

import java.time.OffsetDateTime;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** A row of the log; {@code struck} when a later row strikes it. */
public record ReadingRow(
        long runId,
        long id,
        String kind,
        String target,
        double value,
        String words,
        String typed,
        String byWhom,
        OffsetDateTime takenAt,
        boolean struck,
        int sheetVersion,
        long line,
        double lastDigit,
        boolean kept,
        boolean recorded) {

    Reading reading() {
        return new Reading(id, entry(), takenAt.toInstant(), line, sheetVersion, recorded);
    }

    /** A turn of before pots were targets has the pot's name among its words. */
    private Entry entry() {
        ReadingKind of = ReadingKind.valueOf(kind);
        int space = words.lastIndexOf(' ');
        return of == ReadingKind.TURN && target.isEmpty() && space > 0
                ? new Entry(of, words.substring(0, space), value, words.substring(space + 1), lastDigit)
                : new Entry(of, target, value, words, lastDigit);
    }
}
