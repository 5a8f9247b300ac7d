package yellowrail.web.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import yellowrail.web.RunningApplication;

/** What an application of before has stored is still there: rows as it wrote them, in a schema of their own. */
@ExtendWith(RunningApplication.class)
class MigrationTest {

    private static final String SCHEMA = "of_before";

    private final DataSource database = RunningApplication.bean(DataSource.class);
    private SingleConnectionDataSource one;
    private JdbcTemplate old;

    @BeforeEach
    void anEmptySchema() throws Exception {
        one = new SingleConnectionDataSource(database.getConnection(), true);
        old = new JdbcTemplate(one);
        old.execute("DROP SCHEMA IF EXISTS %s CASCADE".formatted(SCHEMA));
        migrateTo("5");
        old.execute("SET search_path TO " + SCHEMA);
    }

    @AfterEach
    void backToThePool() {
        old.execute("SET search_path TO public");
        one.destroy();
    }

    private void migrateTo(String version) {
        Flyway.configure()
                .dataSource(database)
                .schemas(SCHEMA)
                .target(version)
                .load()
                .migrate();
    }

    @Test
    void tubesAndTestsThatWereDocumentsAreColumns() {
        old.update("""
                INSERT INTO drawer_tube (type, label, tube) VALUES
                  ('EL34', 'A7', '{"type":"EL34","label":"A7","maker":"Fen Electric","markings":"blue print",
                    "bought":"2026-03-01","state":"SUSPECT","notes":"hums"}'),
                  ('EL34', 'A8', '{"type":"EL34","label":"A8","maker":"","markings":"","bought":null,"state":"NEW",
                    "notes":""}')""");
        old.update("""
                INSERT INTO tube_test (tube_id, test) SELECT id, test::jsonb FROM drawer_tube, (VALUES
                  ('{"tested":"2026-03-02","tester":"bridge","condition":{"plate":250.0,"screen":250.0,"grid":-12.2},
                    "current":"PLATE","amps":0.0964,"before":0.07,"warmMinutes":10.0,"transconductance":0.0111,
                    "tap":"FAINT","gas":"none","unstable":true}'),
                  ('{"tested":null,"tester":"","condition":{"plate":250.0,"screen":240.0,"grid":null},
                    "current":"CATHODE","amps":0.101,"before":null,"warmMinutes":null,"transconductance":null,
                    "tap":"UNKNOWN","gas":"","unstable":false}')) AS tests (test) WHERE label = 'A7'""");
        migrateTo("6");
        Map<String, Object> tube = old.queryForMap("SELECT * FROM drawer_tube WHERE label = 'A7'");
        assertThat(tube)
                .containsEntry("maker", "Fen Electric")
                .containsEntry("markings", "blue print")
                .containsEntry("state", "SUSPECT")
                .containsEntry("notes", "hums")
                .containsEntry("version", 1);
        assertThat(tube.get("bought")).hasToString("2026-03-01");
        assertThat(old.queryForMap("SELECT * FROM drawer_tube WHERE label = 'A8'"))
                .containsEntry("bought", null)
                .containsEntry("state", "NEW");
        List<Map<String, Object>> tests = old.queryForList("SELECT * FROM tube_test ORDER BY id");
        assertThat(tests.get(0))
                .containsEntry("tester", "bridge")
                .containsEntry("plate_volts", 250.0)
                .containsEntry("grid_volts", -12.2)
                .containsEntry("current", "PLATE")
                .containsEntry("amps", 0.0964)
                .containsEntry("amps_before", 0.07)
                .containsEntry("warm_minutes", 10.0)
                .containsEntry("transconductance", 0.0111)
                .containsEntry("tap", "FAINT")
                .containsEntry("gas", "none");
        assertThat(tests.get(0).get("tested")).hasToString("2026-03-02");
        assertThat(tests.get(1))
                .containsEntry("screen_volts", 240.0)
                .containsEntry("tested", null)
                .containsEntry("grid_volts", null)
                .containsEntry("transconductance", null);
        String again = """
                INSERT INTO tube_test (tube_id, tester, plate_volts, screen_volts, current, amps)
                SELECT tube_id, '', 250, 240, 'CATHODE', 0.101 FROM tube_test LIMIT 1 ON CONFLICT DO NOTHING""";
        assertThat(old.update(again))
                .as("the same test, though what was not noted is the same as nothing")
                .isZero();
    }

    @Test
    void anAmpHasItsNameAndAClosedRunWaitsForItsSittings() {
        old.update("INSERT INTO amp DEFAULT VALUES");
        old.update("INSERT INTO amp_sheet (amp_id, version, sheet) SELECT id, 1, '{\"name\":\"Fen\"}' FROM amp");
        old.update("INSERT INTO bench_run (amp_id, closed_at, sheet_version) SELECT id, now(), 1 FROM amp");
        migrateTo("6");
        assertThat(old.queryForObject("SELECT name FROM amp_sheet", String.class))
                .isEqualTo("Fen");
        assertThat(old.queryForObject("SELECT sittings_written FROM bench_run", Boolean.class))
                .isFalse();
    }

    /** A file that was brought afterwards stood in the log by when it was brought. */
    @Test
    void whatALoggingMeterRecordedBeforeItWasBroughtIsKnownAsThat() {
        old.update("INSERT INTO amp DEFAULT VALUES");
        old.update("INSERT INTO bench_run (amp_id) SELECT id FROM amp");
        migrateTo("10");
        old.update("""
                INSERT INTO reading
                  (run_id, sheet_version, kind, target, value, words, typed, by_whom, taken_at, entered_at)
                SELECT id, 1, 'SENSE_VOLTS', 'V1', value, '', typed, by_whom, now() - late * interval '1 minute', now()
                FROM bench_run, (VALUES (0.030, 'file', 'logging meter', 20), (0.031, 'hand', 'bench', 0),
                  (0.032, 'called so', 'logging meter', 0)) AS read (value, typed, by_whom, late)""");
        migrateTo("12");
        assertThat(old.queryForList("SELECT typed FROM reading WHERE recorded", String.class))
                .containsExactly("file");
    }

    /** A look that a later run has ticked off was found by going through the readings of all later runs. */
    @Test
    void whatAClosedRunHasTickedOffIsDone() {
        old.update("INSERT INTO amp DEFAULT VALUES");
        old.update("INSERT INTO amp_sheet (amp_id, version, sheet) SELECT id, 1, '{}' FROM amp");
        old.update("INSERT INTO bench_run (amp_id, closed_at, sheet_version) SELECT id, now(), 1 FROM amp");
        old.update("INSERT INTO bench_run (amp_id, closed_at, sheet_version) SELECT id, now(), 1 FROM amp");
        migrateTo("20");
        old.update("""
                INSERT INTO recheck (amp_id, run_id, kind, due_at, early_minutes)
                SELECT amp_id, min(id), 'week', now() + late * interval '1 day', 2880
                FROM bench_run, (VALUES (1), (3)) AS due (late) GROUP BY amp_id, late""");
        old.update("""
                INSERT INTO reading (run_id, sheet_version, kind, target, value, typed, taken_at, entered_at)
                SELECT max(id), 1, 'SENSE_VOLTS', 'V1', 0.03, 'V1 30mV', now(), now() FROM bench_run""");
        migrateTo("21");
        assertThat(old.queryForList("SELECT done FROM recheck ORDER BY due_at", Boolean.class))
                .containsExactly(true, false);
    }

    /** Before tubes were tapped all recordings were of tones. */
    @Test
    void whatWasRecordedIsATone() {
        old.update("INSERT INTO amp DEFAULT VALUES");
        old.update("INSERT INTO bench_run (amp_id) SELECT id FROM amp");
        migrateTo("14");
        old.update("INSERT INTO recording (run_id, kept_at, heard, sound) SELECT id, now(), '{}', '' FROM bench_run");
        migrateTo("15");
        assertThat(old.queryForObject("SELECT kind FROM recording", String.class))
                .isEqualTo("TONE");
    }

    /** A number that was in no catalogue was kept as typed. */
    @Test
    void aTubeLiesWithTheTypeThatItsNumberStandsFor() {
        migrateTo("15");
        old.update("""
                INSERT INTO drawer_tube (type, label, maker, markings, state, notes, saved_at)
                SELECT type, label, '', '', 'USED', '', now() FROM (VALUES ('6GW8', 'A'), ('7591', 'B'), ('7591A', 'B'),
                  ('6v6', 'C'), ('6V6', 'C'), ('EL34', 'A'), ('6P3S', 'A')) AS told (type, label)""");
        migrateTo("16");
        assertThat(old.queryForList("SELECT type || ' ' || label FROM drawer_tube ORDER BY id", String.class))
                .containsExactly("ECL86 A", "7591 B", "7591A B", "6V6GT C", "6V6 C", "EL34 A", "6P3S A");
    }

    /** Before a tester had a scale of its own, every test had volts; the same test still comes in once. */
    @Test
    void aTestWithVoltsStandsAndOneOfATestersOwnScaleNeedsNone() {
        migrateTo("16");
        old.update("INSERT INTO drawer_tube (type, label, saved_at) VALUES ('EL34', 'A1', now())");
        old.update("""
                INSERT INTO tube_test (tube_id, plate_volts, screen_volts, amps, entered_at)
                SELECT id, 250, 250, 0.07, now() FROM drawer_tube""");
        migrateTo("17");
        assertThat(old.queryForMap("SELECT plate_volts, setting, warm_up FROM tube_test"))
                .containsEntry("plate_volts", 250.0)
                .containsEntry("setting", "")
                .containsEntry("warm_up", "");
        String scale = "INSERT INTO tube_test (tube_id, amps, current, setting, entered_at)"
                + " SELECT id, 0.059, 'SCALE', '%s', now() FROM drawer_tube ON CONFLICT DO NOTHING";
        assertThat(old.update(scale.formatted("test 6L6"))).isEqualTo(1);
        assertThat(old.update(scale.formatted("test 6L6"))).isZero();
        assertThatThrownBy(() -> old.update(scale.formatted(""))).hasMessageContaining("tube_test_volts_or_setting");
    }
}
