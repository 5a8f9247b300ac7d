package yellowrail.web.schema;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.jdbc.core.JdbcTemplate;
import yellowrail.web.RunningApplication;
import yellowrail.web.keeping.DailyBackup;
import yellowrail.web.postgres.CannotStartException;

/** Tables older than the application, as old, and newer: each in a schema of its own on the real server. */
@ExtendWith(RunningApplication.class)
class SchemaGateTest {

    private static final String SCHEMA = "gate";

    private final DataSource database = RunningApplication.bean(DataSource.class);
    private final JdbcTemplate sql = new JdbcTemplate(database);
    private final SchemaGate gate = new SchemaGate(
            RunningApplication.bean(JdbcConnectionDetails.class), RunningApplication.bean(DailyBackup.class));

    @BeforeEach
    void anEmptySchema() {
        sql.execute("DROP SCHEMA IF EXISTS %s CASCADE".formatted(SCHEMA));
    }

    private static Flyway to(String version) {
        return Flyway.configure()
                .dataSource(RunningApplication.bean(DataSource.class))
                .schemas(SCHEMA)
                .target(version)
                .load();
    }

    private List<Map<String, Object>> tables() {
        return sql.queryForList(
                "SELECT table_name, column_name FROM information_schema.columns WHERE table_schema = ? ORDER BY 1, 2",
                SCHEMA);
    }

    @Test
    void olderTablesAreBroughtForwardAndNewOnesLetAlone() {
        to("6").migrate();
        gate.migrate(to("latest"));
        List<Map<String, Object>> forward = tables();
        assertThat(forward).contains(Map.of("table_name", "tube_point", "column_name", "id"));
        gate.migrate(to("latest"));
        assertThat(tables()).isEqualTo(forward);
    }

    @Test
    void newerTablesAreNotTouchedAndTheRefusalSaysWhatToDo() {
        gate.migrate(to("6"));
        sql.update(
                "INSERT INTO gate.flyway_schema_history (installed_rank, version, description, type, script, checksum,"
                        + " installed_by, execution_time, success)"
                        + " VALUES (99, '9999', 'to come', 'SQL', 'V9999__to_come.sql', 1, 'x', 1, true)");
        List<Map<String, Object>> before = tables();
        assertThatThrownBy(() -> gate.migrate(to("latest")))
                .isInstanceOf(CannotStartException.class)
                .hasMessageContaining("written by a newer Yellow Rail (tables of step 9999")
                .hasMessageContaining("Nothing was touched");
        assertThat(tables()).isEqualTo(before);
    }
}
