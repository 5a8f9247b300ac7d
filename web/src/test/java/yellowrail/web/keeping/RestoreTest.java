package yellowrail.web.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.postgres.DataFolder;
import yellowrail.web.postgres.PrivatePostgres;
import yellowrail.web.postgres.Replacement;

/** Backups of a real server, brought back into a real one. */
class RestoreTest {

    private static final Clock NOON = Clock.fixed(Instant.parse("2026-03-01T12:00:00Z"), ZoneOffset.UTC);

    private Path base;
    private Path data;
    private BackupFile backup;

    @BeforeEach
    void anAmpWithARunAndARecording() throws Exception {
        base = RunningApplication.temporary("yellow-rail-keeping");
        data = Files.createDirectory(base.resolve("data"));
        backup = new BackupFile(base.resolve("backup.zip"));
        try (PrivatePostgres postgres = PrivatePostgres.start(data)) {
            Map<String, Object> found = postgres.properties();
            Flyway.configure()
                    .dataSource(
                            (String) found.get("spring.datasource.url"),
                            (String) found.get("spring.datasource.username"),
                            (String) found.get("spring.datasource.password"))
                    .load()
                    .migrate();
            store(postgres, "Reed", 40);
        }
    }

    @AfterEach
    void leaveNothing() throws IOException {
        RunningApplication.delete(base);
    }

    /** Labels with what is hard to carry over, and bytes that are no text. */
    private static void store(PrivatePostgres postgres, String label, int tubes) throws SQLException, IOException {
        try (Connection connection = postgres.connect();
                Statement statement = connection.createStatement()) {
            statement.execute("INSERT INTO amp (created_at) VALUES ('2026-02-01T10:00:00.123456Z')");
            statement.execute(
                    "INSERT INTO bench_run (amp_id, begun_at) SELECT max(id), '2026-02-02T10:00:00Z' FROM amp");
            for (int i = 0; i < tubes; i++) {
                statement.execute(
                        ("INSERT INTO drawer_tube (type, label, maker, markings, state, notes, version, saved_at)"
                                        + " VALUES ('EL34', '%s %d \u03a9 \"quoted\" \\\\ \u00b5', '', "
                                        + "E'tab\\there', 'NEW', E'two\\nlines', 1, '2026-02-01T10:00:00Z')")
                                .formatted(label, i));
            }
        }
    }

    private static String everything(Path folder) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PrivatePostgres postgres = PrivatePostgres.start(folder);
                Connection connection = postgres.connect()) {
            new Everything(connection).write(out);
        }
        return out.toString(StandardCharsets.UTF_8);
    }

    private void backUp() {
        try (PrivatePostgres postgres = PrivatePostgres.start(data)) {
            backup.write(postgres, NOON);
        }
    }

    private Path restored(String name) throws IOException {
        Path folder = Files.createDirectories(base.resolve(name));
        try (DataFolder claimed = DataFolder.claim(folder, "a test")) {
            new Restore(claimed.path(), NOON).from(backup, false);
        }
        return folder;
    }

    @Test
    void whatIsBroughtBackIsWhatWasStored() throws Exception {
        String before = everything(data);
        assertThat(before).contains("Reed 39 \u03a9 \\\"quoted\\\"");
        backUp();
        Manifest manifest = backup.manifest();
        assertThat(manifest.rows("drawer_tube")).isEqualTo(40);
        assertThat(manifest.schema()).isEqualTo(Tables.newestStep());
        assertThat(everything(restored("other"))).isEqualTo(before);
    }

    @Test
    void whatIsThereIsNotReplacedUnlessToldAndThenKeptAside() throws Exception {
        String before = everything(data);
        backUp();
        try (PrivatePostgres postgres = PrivatePostgres.start(data)) {
            store(postgres, "Later", 2);
        }
        String later = everything(data);
        assertThatThrownBy(() -> new Restore(data, NOON).from(backup, false))
                .isInstanceOf(BackupException.class)
                .hasMessageContaining("There are data in " + data)
                .hasMessageContaining("--replace");
        assertThat(everything(data)).isEqualTo(later);
        Path aside = new Restore(data, NOON).from(backup, true);
        assertThat(everything(data)).isEqualTo(before);
        assertThat(aside).isEqualTo(data.resolve("kept-2026-03-01-120000"));
        assertThat(everything(aside)).isEqualTo(later);
    }

    @Test
    void aDamagedBackupIsToldAndNothingIsTouched() throws Exception {
        backUp();
        byte[] bytes = Files.readAllBytes(backup.path());
        bytes[bytes.length / 2] ^= 1;
        Files.write(backup.path(), bytes);
        assertThatThrownBy(() -> restored("damaged"))
                .isInstanceOf(BackupException.class)
                .hasMessageContaining("is damaged");
        assertThat(base.resolve("damaged/postgres")).doesNotExist();
        Files.write(backup.path(), new byte[] {1, 2, 3});
        assertThatThrownBy(() -> restored("none")).hasMessageContaining("is no backup of Yellow Rail");
        Files.delete(backup.path());
        assertThatThrownBy(() -> restored("none")).hasMessageEndingWith(": there is no " + backup.path() + ".");
    }

    @Test
    void aBackupOfANewerVersionIsRefused() throws Exception {
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(backup.path()))) {
            zip.putNextEntry(new ZipEntry("manifest.json"));
            zip.write("""
                    {"format":1,"application":"9.0","schema":9999,"postgres":15,"made":"2026-03-01T12:00:00Z",
                     "counts":{},"sha256":""}""".getBytes(StandardCharsets.UTF_8));
        }
        assertThatThrownBy(() -> restored("newer"))
                .isInstanceOf(BackupException.class)
                .hasMessageContaining("made by a newer Yellow Rail (9.0, tables of step 9999");
    }

    /** The machine stops after the new data were verified and before they took their place. */
    @Test
    void aReplacementThatWasCutOffIsEndedAtTheNextStart() throws Exception {
        String before = everything(data);
        backUp();
        Path made = new Replacement(data).begin();
        try (PrivatePostgres postgres = PrivatePostgres.start(made)) {
            backup.load(postgres);
            store(postgres, "New", 1);
        }
        Files.writeString(made.resolve("complete"), "kept-there");
        Files.createDirectories(data.resolve("kept-there"));
        Files.move(data.resolve("postgres"), data.resolve("kept-there/postgres"));
        assertThat(everything(data)).contains("New 0");
        assertThat(everything(data.resolve("kept-there"))).isEqualTo(before);
        assertThat(made).doesNotExist();
    }
}
