package yellowrail.web.run;

import java.util.List;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;

/**
 * The recent part of a log.
 *
 * @param before what counted before the first of the rows
 * @param rows   in the order of entry, struck ones among them
 */
record RunLog(Moment before, List<ReadingRow> rows) {

    /** The readings that count, in the order of entry. */
    List<Reading> readings() {
        return rows.stream().filter(row -> !row.struck()).map(ReadingRow::reading).toList();
    }

    /** How many the whole log has, as far as they were counted. */
    String total() {
        return rows.size() < RunService.RECENT ? String.valueOf(rows.size()) : "%d and more".formatted(RunService.RECENT);
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
