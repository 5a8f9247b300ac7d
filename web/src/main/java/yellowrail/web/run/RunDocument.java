package yellowrail.web.run;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * A whole run as a file, to be read in on another bench: docs/api.md describes it.
 *
 * @param format always {@link #FORMAT}
 * @param version of the format
 * @param closedAt null where the run was still open
 * @param sheets of the amp, as readings name them; the last is the one it was judged by
 * @param tubes what is written on the tubes, by socket
 * @param parts what features keep of it, by their names; null in a file of version 2
 */
record RunDocument(
        String format,
        int version,
        OffsetDateTime begunAt,
        OffsetDateTime closedAt,
        List<Sheet> sheets,
        Map<String, String> tubes,
        List<Step> stations,
        List<Row> readings,
        Map<String, JsonNode> parts) {

    static final String FORMAT = "yellow-rail-run";
    static final int VERSION = 3;

    /** A version of the amp's sheet, a document with a format of its own. */
    record Sheet(int number, JsonNode sheet) {}

    /** What happened to a station. */
    record Step(String what, String station, String item, String words, OffsetDateTime at) {}

    /**
     * A reading.
     *
     * @param value SI
     * @param line rises from 1; readings typed on one line have the same
     * @param sheet the number of the sheet it was entered under
     * @param lastDigit what the last digit stood for, SI; 0 where nobody knows
     * @param kept whether it was asked about, and kept as it was typed; null in a file of version 1
     * @param recorded whether a meter recorded it by itself; null in a file of version 1
     */
    record Row(
            String kind,
            String place,
            double value,
            String words,
            String typed,
            String by,
            OffsetDateTime takenAt,
            int line,
            int sheet,
            double lastDigit,
            boolean struck,
            Boolean kept,
            Boolean recorded) {}
}
