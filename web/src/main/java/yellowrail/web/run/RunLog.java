package yellowrail.web.run;

import java.util.List;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.InTime;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;

/**
 * A log, or the recent part of it.
 *
 * @param catalogue the types it speaks of
 * @param versions of the sheet
 * @param before what counted before the first of the rows
 * @param rows in the order of entry, struck ones among them
 */
record RunLog(TubeCatalogue catalogue, List<SheetVersion> versions, Moment before, List<ReadingRow> rows) {

    /** The readings that count, in the order of entry. */
    List<Reading> readings() {
        return rows.stream()
                .filter(row -> !row.struck())
                .map(ReadingRow::reading)
                .toList();
    }

    /** The rows that count, in the order of what happened. */
    List<ReadingRow> inTime() {
        return InTime.order(
                rows.stream().filter(row -> !row.struck()).toList(),
                row -> row.takenAt().toInstant(),
                ReadingRow::recorded);
    }

    /** Who measured last, not what; blank if nobody said. */
    String lastBy() {
        return rows.stream()
                .filter(row -> !row.recorded())
                .reduce((one, later) -> later)
                .map(ReadingRow::byWhom)
                .orElse("");
    }

    Log log() {
        return new Log(catalogue, versions, before, readings());
    }

    Timeline timeline() {
        return log().timeline();
    }
}
