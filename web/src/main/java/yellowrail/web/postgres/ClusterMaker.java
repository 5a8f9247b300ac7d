package yellowrail.web.postgres;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.HexFormat;

/**
 * Makes a cluster beside its place and puts it there when it is complete. Whatever an earlier attempt left half done is
 * cleared first: a machine may lose its power at any step.
 */
final class ClusterMaker {

    static final String USER = "yellowrail";

    private static final Duration LONGEST = Duration.ofMinutes(2);
    private static final int SECRET_BYTES = 24;

    private final ClusterFolder folder;
    private final Programs programs;

    ClusterMaker(ClusterFolder folder, Programs programs) {
        this.folder = folder;
        this.programs = programs;
    }

    /** Makes the cluster if there is none. */
    void make() throws IOException {
        if (Files.exists(folder.passwordFile()) && folder.exists()) {
            return;
        }
        if (folder.exists() && folder.holdsDatabases()) {
            renewPassword();
            return;
        }
        ClusterFolder.clear(folder.cluster());
        ClusterFolder.clear(folder.unfinished());
        Path made = folder.unfinished();
        Path password = writePassword();
        if (!programs.as().isEmpty()) {
            requireReachable();
            Programs.system("install", "-d", "-o", programs.as(), "-m", "700", made.toString());
        }
        programs.run(
                LONGEST,
                "initdb",
                "--pgdata=" + made,
                "--username=" + USER,
                "--auth=scram-sha-256",
                "--pwfile=" + password,
                "--encoding=UTF8",
                "--locale=C.UTF-8",
                "--data-checksums",
                "--no-instructions");
        folder.take(password, folder.passwordFile());
        folder.take(made, folder.cluster());
    }

    private Path writePassword() throws IOException {
        Path draft = folder.newPassword();
        Files.deleteIfExists(draft);
        Files.createFile(draft, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        byte[] secret = new byte[SECRET_BYTES];
        new SecureRandom().nextBytes(secret);
        Files.writeString(draft, HexFormat.of().formatHex(secret));
        if (!programs.as().isEmpty()) {
            Programs.system("chown", programs.as(), draft.toString());
        }
        return draft;
    }

    /** The file with the password is gone, the data are not: the server, alone with its files, is told a new one. */
    private void renewPassword() throws IOException {
        Postmaster.of(folder).ifPresent(Postmaster::end);
        Files.deleteIfExists(folder.pidFile());
        Path draft = writePassword();
        programs.feed(
                "ALTER ROLE %s PASSWORD '%s'\n".formatted(USER, Files.readString(draft)),
                LONGEST,
                "postgres",
                "--single",
                "-D",
                folder.cluster().toString(),
                "postgres");
        folder.take(draft, folder.passwordFile());
    }

    /** The user the server runs as must be able to walk down to the folder. */
    private void requireReachable() {
        try {
            programs.asOwner("/usr/bin/test", "-x", folder.folder().toString());
        } catch (PostgresException e) {
            throw new PostgresException(
                    ("PostgreSQL runs as the user %s when started by root, and that user cannot enter %s. "
                                    + "Choose another folder with --data, such as --data /var/lib/yellow-rail, "
                                    + "or start as an ordinary user.")
                            .formatted(programs.as(), folder.folder()),
                    e);
        }
    }
}
