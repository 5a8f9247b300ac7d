package yellowrail.web.postgres;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/** A real server, and what can have become of it since it was started last. */
class PrivatePostgresTest {

    private Path data;
    private ClusterFolder folder;

    @BeforeEach
    void folder() throws IOException {
        data = RunningApplication.temporary("yellow-rail-postgres");
        folder = new ClusterFolder(data);
    }

    @AfterEach
    void leaveNothing() throws IOException {
        Postmaster.of(folder).ifPresent(Postmaster::end);
        RunningApplication.delete(data);
    }

    private static Connection connect(PrivatePostgres postgres) throws SQLException {
        Map<String, Object> how = postgres.properties();
        return DriverManager.getConnection(
                (String) how.get("spring.datasource.url"), (String) how.get("spring.datasource.username"), (String)
                        how.get("spring.datasource.password"));
    }

    private static void note(PrivatePostgres postgres, String text) throws SQLException {
        try (var connection = connect(postgres);
                var statement = connection.createStatement()) {
            statement.execute("CREATE TABLE IF NOT EXISTS note (text text)");
            statement.execute("INSERT INTO note VALUES ('" + text + "')");
        }
    }

    private static long notes(PrivatePostgres postgres) throws SQLException {
        try (var connection = connect(postgres);
                var statement = connection.createStatement();
                var rows = statement.executeQuery("SELECT count(*) FROM note")) {
            rows.next();
            return rows.getLong(1);
        }
    }

    private void stopped() {
        Postmaster.of(folder).orElseThrow().end();
    }

    @Test
    void aServerThatWasKilledIsStartedAgain() throws Exception {
        PrivatePostgres first = PrivatePostgres.start(data);
        note(first, "kept");
        stopped();
        assertThat(first.answers()).isFalse();
        first.bringUp();
        assertThat(notes(first)).isEqualTo(1);
        PrivatePostgres second = PrivatePostgres.start(data);
        assertThat(second.port()).as("the running one is taken over").isEqualTo(first.port());
        second.close();
        assertThat(Postmaster.of(folder)).isEmpty();
    }

    @Test
    void aPidFileThatNamesAnotherProgramDoesNotKeepTheServerFromStarting() throws Exception {
        PrivatePostgres first = PrivatePostgres.start(data);
        note(first, "kept");
        String left = Files.readString(folder.pidFile());
        stopped();
        Process other = new ProcessBuilder("sleep", "600").start();
        try {
            long postmaster = Long.parseLong(left.lines().findFirst().orElseThrow());
            Files.writeString(folder.pidFile(), left.replaceFirst(String.valueOf(postmaster), "" + other.pid()));
            PrivatePostgres second = PrivatePostgres.start(data);
            assertThat(notes(second)).isEqualTo(1);
            assertThat(other.isAlive()).as("the other program is let alone").isTrue();
        } finally {
            other.destroyForcibly();
        }
    }

    @Test
    void aPidFileThatWasNeverWrittenToTheEndDoesNotKeepItEither() throws Exception {
        PrivatePostgres first = PrivatePostgres.start(data);
        note(first, "kept");
        stopped();
        Files.writeString(folder.pidFile(), "");
        assertThat(notes(PrivatePostgres.start(data))).isEqualTo(1);
    }

    @Test
    void aServerThatWasHaltedRunsOn() throws Exception {
        PrivatePostgres first = PrivatePostgres.start(data);
        note(first, "kept");
        long pid = Postmaster.of(folder).orElseThrow().pid();
        new ProcessBuilder("sh", "-c", "kill -STOP " + pid).start().waitFor();
        PrivatePostgres second = PrivatePostgres.start(data);
        assertThat(notes(second)).isEqualTo(1);
        assertThat(Postmaster.of(folder).orElseThrow().pid()).isEqualTo(pid);
    }

    @Test
    void aFirstStartThatWasKilledHalfWayIsBegunAgain() throws Exception {
        Files.createDirectories(folder.unfinished().resolve("base"));
        Files.writeString(folder.unfinished().resolve("PG_VERSION"), "15\n");
        Files.writeString(folder.newPassword(), "half");
        PrivatePostgres postgres = PrivatePostgres.start(data);
        note(postgres, "first");
        assertThat(notes(postgres)).isEqualTo(1);
        assertThat(folder.unfinished()).doesNotExist();
    }

    /** As a version before left it, which made the cluster in its place. */
    @Test
    void aHalfMadeClusterWithoutAPasswordIsClearedAndOneWithDataIsKept() throws Exception {
        Files.createDirectories(folder.cluster().resolve("base/1"));
        PrivatePostgres postgres = PrivatePostgres.start(data);
        note(postgres, "kept");
        Files.delete(folder.passwordFile());
        assertThat(notes(PrivatePostgres.start(data))).isEqualTo(1);
    }

    @Test
    void aClusterOfAnotherVersionIsNotTouchedAndTheRemedyIsNamed() throws Exception {
        PrivatePostgres.start(data).close();
        Files.writeString(folder.cluster().resolve("PG_VERSION"), "9\n");
        assertThatThrownBy(() -> PrivatePostgres.start(data))
                .isInstanceOf(PostgresException.class)
                .hasMessageContaining("were written by PostgreSQL 9")
                .hasMessageContaining("./yellow-rail upgrade --data " + data);
    }
}
