package yellowrail.web.keeping;

import java.io.IOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The tables of a database as they are, whatever version made them, but for {@link #DOORS}. */
final class Tables {

    /** Who is let in: it opens doors and is no data of the builder's. */
    static final String DOORS = "device";

    private Tables() {}

    static List<String> names(Connection connection) throws SQLException {
        List<String> names = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT table_name FROM information_schema.tables"
                        + " WHERE table_schema = 'public' AND table_type = 'BASE TABLE' AND table_name <> '" + DOORS
                        + "' ORDER BY table_name")) {
            while (rows.next()) {
                names.add(rows.getString(1));
            }
        }
        return names;
    }

    static Map<String, Long> counts(Connection connection) throws SQLException {
        Map<String, Long> counts = new TreeMap<>();
        try (Statement statement = connection.createStatement()) {
            for (String table : names(connection)) {
                try (ResultSet rows = statement.executeQuery("SELECT count(*) FROM \"" + table + "\"")) {
                    rows.next();
                    counts.put(table, rows.getLong(1));
                }
            }
        }
        return counts;
    }

    /** The newest step that the tables of a database have gone through, 0 where there are none. */
    static int step(Connection connection) throws SQLException {
        if (!names(connection).contains("flyway_schema_history")) {
            return 0;
        }
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "SELECT coalesce(max(version::integer), 0) FROM flyway_schema_history WHERE success")) {
            rows.next();
            return rows.getInt(1);
        }
    }

    /** The newest step that this application knows. */
    static int newestStep() throws IOException {
        int newest = 0;
        for (Resource step : new PathMatchingResourcePatternResolver().getResources("classpath*:db/migration/V*.sql")) {
            String name = step.getFilename();
            newest = Math.max(newest, Integer.parseInt(name.substring(1, name.indexOf("__"))));
        }
        return newest;
    }
}
