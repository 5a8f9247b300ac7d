package yellowrail.web.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * The backups in the data folder: one a day, of which seven are kept, and those that were made before something risky.
 */
final class Backups {

    static final int DAILY_KEPT = 7;

    private static final String DAILY = "daily-";
    /** A moment in the name of a file. */
    static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

    private final Path folder;
    private final Clock clock;

    /** @param data the data folder */
    Backups(Path data, Clock clock) {
        this.folder = data.resolve("backups");
        this.clock = clock;
    }

    /**
     * A backup that is there.
     *
     * @param bytes its size
     */
    record Kept(Path file, long bytes, Manifest manifest) {

        String name() {
            return file.getFileName().toString();
        }
    }

    Path folder() {
        return folder;
    }

    /** A file for a backup of this moment. */
    BackupFile named(String kind) {
        String stamp = STAMP.format(OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC));
        return new BackupFile(folder.resolve(kind + "-" + stamp + ".zip"));
    }

    /** All that can be read, newest first. What is damaged is none. */
    List<Kept> all() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            List<Kept> found = new ArrayList<>();
            for (Path file :
                    files.filter(file -> file.toString().endsWith(".zip")).toList()) {
                read(file).ifPresent(found::add);
            }
            found.sort(
                    Comparator.comparing((Kept kept) -> kept.manifest().made()).reversed());
            return found;
        } catch (IOException e) {
            return List.of();
        }
    }

    private static Optional<Kept> read(Path file) throws IOException {
        try {
            return Optional.of(new Kept(file, Files.size(file), new BackupFile(file).manifest()));
        } catch (BackupException damaged) {
            return Optional.empty();
        }
    }

    Optional<Kept> newest() {
        return all().stream().findFirst();
    }

    /** Only a name of the list leads to a file. */
    Optional<Kept> of(String name) {
        return all().stream().filter(kept -> kept.name().equals(name)).findFirst();
    }

    /**
     * Whether none is of the last day. One from the future tells of a clock that was set back, and counts for nothing.
     */
    boolean isDue() {
        OffsetDateTime now = OffsetDateTime.now(clock);
        return all().stream()
                .map(kept -> Duration.between(kept.manifest().made(), now))
                .noneMatch(age -> !age.isNegative() && age.compareTo(Duration.ofDays(1)) < 0);
    }

    /** Makes one, and lets go of the oldest daily ones. */
    Manifest make(PrivatePostgres postgres) {
        BackupFile made = named("daily");
        Manifest manifest = made.write(postgres, clock);
        List<Path> others = all().stream()
                .map(Kept::file)
                .filter(file -> file.getFileName().toString().startsWith(DAILY) && !file.equals(made.path()))
                .toList();
        others.stream().skip(DAILY_KEPT - 1).forEach(oldest -> oldest.toFile().delete());
        return manifest;
    }
}
