package yellowrail.web.keeping;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.DigestOutputStream;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.web.digest.Sha256;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * One backup: a ZIP file with {@code database.dump}, what {@code pg_dump} wrote in its custom format, and
 * {@code manifest.json}. It is written beside its place and renamed, so a file that is there is whole.
 */
final class BackupFile {

    private static final String DUMP = "database.dump";
    private static final String MANIFEST = "manifest.json";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Path file;

    BackupFile(Path file) {
        this.file = file.toAbsolutePath();
    }

    Path path() {
        return file;
    }

    /** Writes all that a database holds at one moment, while others work with it. */
    Manifest write(PrivatePostgres postgres, Clock clock) {
        try {
            Files.createDirectories(file.getParent());
            return WholeFile.write(file, draft -> write(postgres, clock, draft));
        } catch (IOException | SQLException e) {
            throw new BackupException("The backup %s could not be written: %s.".formatted(file, FileTrouble.of(e)), e);
        }
    }

    private static Manifest write(PrivatePostgres postgres, Clock clock, Path draft) throws IOException, SQLException {
        try (Connection connection = postgres.connect();
                ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(draft))) {
            connection.setAutoCommit(false);
            connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            String snapshot = one(connection, "SELECT pg_export_snapshot()");
            zip.setLevel(0);
            zip.putNextEntry(new ZipEntry(DUMP));
            DigestOutputStream digest = new DigestOutputStream(zip, Sha256.begin());
            postgres.dump(snapshot, Tables.DOORS, digest);
            zip.closeEntry();
            Manifest manifest = new Manifest(
                    Manifest.FORMAT,
                    version(),
                    Tables.step(connection),
                    Integer.parseInt(one(connection, "SHOW server_version_num")) / 10_000,
                    OffsetDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS),
                    Tables.counts(connection),
                    HexFormat.of().formatHex(digest.getMessageDigest().digest()));
            zip.putNextEntry(new ZipEntry(MANIFEST));
            zip.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
            zip.closeEntry();
            return manifest;
        }
    }

    private static String one(Connection connection, String question) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet answer = statement.executeQuery(question)) {
            answer.next();
            return answer.getString(1);
        }
    }

    private static String version() {
        String version = BackupFile.class.getPackage().getImplementationVersion();
        return version == null ? "unreleased" : version;
    }

    /** @throws BackupException if it is no backup of ours */
    Manifest manifest() {
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = entry(zip, MANIFEST)) {
            Manifest manifest = JSON.readValue(in, Manifest.class);
            if (manifest.format() != Manifest.FORMAT) {
                throw new BackupException(
                        "%s is a backup of format %d, and this Yellow Rail reads format %d: a newer one does."
                                .formatted(file, manifest.format(), Manifest.FORMAT));
            }
            return manifest;
        } catch (IOException | JacksonException e) {
            throw new BackupException("%s is no backup of Yellow Rail: %s.".formatted(file, FileTrouble.of(e)), e);
        }
    }

    /** Looks whether the dump is as it was written. @throws BackupException if a byte of it is another */
    void verify() {
        String should = manifest().sha256();
        try (ZipFile zip = new ZipFile(file.toFile());
                DigestInputStream in = new DigestInputStream(entry(zip, DUMP), Sha256.begin())) {
            in.transferTo(OutputStream.nullOutputStream());
            String is = HexFormat.of().formatHex(in.getMessageDigest().digest());
            if (!is.equals(should)) {
                throw new BackupException(
                        "%s is damaged: its checksum is %s, and was %s when it was written. Take another backup."
                                .formatted(file, is, should));
            }
        } catch (IOException e) {
            throw new BackupException("%s is damaged: %s. Take another backup.".formatted(file, FileTrouble.of(e)), e);
        }
    }

    /** Reads it into an empty database. */
    void load(PrivatePostgres postgres) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = entry(zip, DUMP)) {
            postgres.load(in);
        }
    }

    private static InputStream entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new IOException("there is no " + name + " in it");
        }
        return zip.getInputStream(entry);
    }
}
