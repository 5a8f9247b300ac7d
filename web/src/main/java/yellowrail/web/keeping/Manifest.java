package yellowrail.web.keeping;

import java.time.OffsetDateTime;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is in a backup.
 *
 * @param format of this list; 1
 * @param application version of the application that made it
 * @param schema the newest step of its tables
 * @param postgres major version of the server that wrote it
 * @param made when
 * @param counts rows of each table
 * @param sha256 of the dump, in hexadecimal
 */
record Manifest(
        int format,
        String application,
        int schema,
        int postgres,
        OffsetDateTime made,
        Map<String, Long> counts,
        String sha256) {

    static final int FORMAT = 1;

    Manifest {
        counts = new TreeMap<>(counts);
    }

    /** Rows of a table; 0 where there is no such table. */
    long rows(String table) {
        return counts.getOrDefault(table, 0L);
    }
}
