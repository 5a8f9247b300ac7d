package yellowrail.web.keeping;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * All that is stored, as one JSON document: each table by its name, its rows in the order of their keys. It is for
 * reading with other programs, and for holding two sets of data against each other; what is to be brought back is a
 * backup.
 */
final class Everything {

    private static final int ROWS_AT_ONCE = 500;

    private final Connection connection;

    /** @param connection one that nobody else uses meanwhile */
    Everything(Connection connection) {
        this.connection = connection;
    }

    void write(OutputStream out) throws SQLException, IOException {
        connection.setAutoCommit(false);
        connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
        try (Statement statement = connection.createStatement()) {
            statement.execute("SET LOCAL timezone TO 'UTC'");
        }
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        List<String> tables = Tables.names(connection);
        writer.write("{");
        for (int i = 0; i < tables.size(); i++) {
            writer.write((i == 0 ? "\n" : ",\n") + "\"" + tables.get(i) + "\": [");
            rows(tables.get(i), writer);
            writer.write("]");
        }
        writer.write("\n}\n");
        writer.flush();
        connection.rollback();
    }

    private void rows(String table, Writer writer) throws SQLException, IOException {
        try (Statement statement = connection.createStatement()) {
            statement.setFetchSize(ROWS_AT_ONCE);
            try (ResultSet rows = statement.executeQuery(
                    "SELECT to_jsonb(t)::text FROM \"%s\" t ORDER BY %s".formatted(table, key(table)))) {
                for (boolean first = true; rows.next(); first = false) {
                    writer.write(first ? "\n  " : ",\n  ");
                    writer.write(rows.getString(1));
                }
            }
        }
    }

    /** The columns of the key; where there is none, the whole row. */
    private String key(String table) throws SQLException {
        StringBuilder columns = new StringBuilder();
        try (ResultSet keys = connection.getMetaData().getPrimaryKeys(null, "public", table)) {
            while (keys.next()) {
                columns.append(columns.isEmpty() ? "" : ", ")
                        .append("t.\"")
                        .append(keys.getString("COLUMN_NAME"))
                        .append('"');
            }
        }
        return columns.isEmpty() ? "to_jsonb(t)::text" : columns.toString();
    }
}
