package yellowrail.web.postgres;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Comparator;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * Where a cluster lies in the data folder: {@code postgres} and beside it {@code postgres-password}. A cluster is made
 * as {@code postgres.new} and renamed when it is complete, so a {@code postgres} that is there is complete.
 *
 * @param folder the data folder, absolute
 */
public record ClusterFolder(Path folder) {

    /** The first number PostgreSQL gives to a database that is not its own. */
    private static final int FIRST_DATABASE = 16_384;

    public Path cluster() {
        return folder.resolve("postgres");
    }

    Path unfinished() {
        return folder.resolve("postgres.new");
    }

    Path passwordFile() {
        return folder.resolve("postgres-password");
    }

    Path newPassword() {
        return folder.resolve("postgres-password.new");
    }

    Path pidFile() {
        return cluster().resolve("postmaster.pid");
    }

    Path log() {
        return cluster().resolve("server.log");
    }

    boolean exists() {
        return Files.exists(cluster());
    }

    /** The major version that wrote the cluster, if there is a cluster. */
    public OptionalInt version() {
        Path file = cluster().resolve("PG_VERSION");
        if (!Files.exists(file)) {
            return OptionalInt.empty();
        }
        try {
            return OptionalInt.of(Integer.parseInt(Files.readString(file).strip()));
        } catch (IOException | NumberFormatException e) {
            throw new PostgresException(
                    "%s cannot be read: %s. Restore a backup: ./yellow-rail restore FILE --replace --data %s"
                            .formatted(file, e.getMessage(), folder),
                    e);
        }
    }

    /** Whether anything was ever stored: a first start that was killed half way leaves only the server's own. */
    boolean holdsDatabases() throws IOException {
        Path base = cluster().resolve("base");
        if (!Files.isDirectory(base)) {
            return false;
        }
        try (Stream<Path> databases = Files.list(base)) {
            return databases
                    .map(database -> database.getFileName().toString())
                    .anyMatch(name -> name.matches("\\d{1,9}") && Integer.parseInt(name) >= FIRST_DATABASE);
        }
    }

    String password() throws IOException {
        return Files.readString(passwordFile()).strip();
    }

    /** What was made beside takes its place, for good. */
    void take(Path made, Path place) throws IOException {
        Files.move(made, place, StandardCopyOption.ATOMIC_MOVE);
        try (FileChannel names = FileChannel.open(folder, StandardOpenOption.READ)) {
            names.force(true);
        }
    }

    static void clear(Path tree) throws IOException {
        if (!Files.exists(tree)) {
            return;
        }
        try (Stream<Path> files = Files.walk(tree)) {
            files.sorted(Comparator.reverseOrder()).forEach(ClusterFolder::delete);
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
