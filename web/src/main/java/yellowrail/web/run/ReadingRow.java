package yellowrail.web.run;

import java.time.OffsetDateTime;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** A row of the log; {@code struck} when a later row strikes it. */
record ReadingRow(long id, String kind, String target, double value, String words, String typed, String byWhom,
                  OffsetDateTime takenAt, boolean struck) {

    Reading reading() {
        return new Reading(id, new Entry(ReadingKind.valueOf(kind), target, value, words), takenAt.toInstant());
    }
}
