package yellowrail.web.run;

import java.util.List;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;

/**
 * The recent part of a log.
 *
 * @param before what counted before the first of the rows
 * @param rows   in the order of entry, struck ones among them
 * @param total  how many the whole log has
 */
record RunLog(Moment before, List<ReadingRow> rows, long total) {

    /** The readings that count, in the order of entry. */
    List<Reading> readings() {
        return rows.stream().filter(row -> !row.struck()).map(ReadingRow::reading).toList();
    }

    /** Who measured last; blank if nobody said. */
    String lastBy() {
        return rows.isEmpty() ? "" : rows.get(rows.size() - 1).byWhom();
    }

    Moment now() {
        return at(Long.MAX_VALUE);
    }

    /** What counted when this row had been entered. */
    Moment at(long upTo) {
        return before.after(readings().stream().filter(reading -> reading.id() <= upTo).toList());
    }
}
