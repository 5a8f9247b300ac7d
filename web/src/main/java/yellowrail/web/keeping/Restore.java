package yellowrail.web.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Map;
import yellowrail.web.postgres.ClusterFolder;
import yellowrail.web.postgres.PrivatePostgres;
import yellowrail.web.postgres.Replacement;

/** Brings a backup back into a data folder: beside what is there, which stays until the new one is verified. */
final class Restore {

    private final Path folder;
    private final Clock clock;

    /** @param folder the data folder, claimed */
    Restore(Path folder, Clock clock) {
        this.folder = folder;
        this.clock = clock;
    }

    /**
     * @param replaces whether data that are there may give way
     * @return where they are kept; the folder itself if there were none
     * @throws BackupException if the backup is damaged, or newer than this application, or not as its manifest tells
     */
    Path from(BackupFile backup, boolean replaces) {
        Manifest manifest = backup.manifest();
        requireKnown(backup, manifest);
        backup.verify();
        boolean holdsData = new ClusterFolder(folder).version().isPresent();
        if (holdsData && !replaces) {
            throw new BackupException(
                    ("There are data in %s. Nothing was touched. With --replace they are kept aside, and "
                                    + "the backup takes "
                                    + "their place.")
                            .formatted(folder));
        }
        Replacement replacement = new Replacement(folder);
        Path aside = folder.resolve("kept-" + Backups.STAMP.format(LocalDateTime.now(clock)));
        try {
            Path made = replacement.begin();
            try (PrivatePostgres postgres = PrivatePostgres.start(made)) {
                backup.load(postgres);
                requireSame(backup, manifest.counts(), postgres);
            }
            replacement.complete(aside);
            return Files.exists(aside.resolve("postgres")) ? aside : folder;
        } catch (IOException | SQLException e) {
            throw new BackupException(
                    "The backup %s could not be brought back: %s".formatted(backup.path(), FileTrouble.of(e)), e);
        } finally {
            abandon(replacement);
        }
    }

    private static void abandon(Replacement replacement) {
        try {
            replacement.abandon();
        } catch (IOException left) {
            // cleared before the next attempt
        }
    }

    private static void requireKnown(BackupFile backup, Manifest manifest) {
        try {
            int known = Tables.newestStep();
            if (manifest.schema() > known) {
                throw new BackupException(
                        ("%s was made by a newer Yellow Rail (%s, tables of step %d; this one knows up to "
                                        + "%d). Nothing was "
                                        + "touched. Restore it with the newer one.")
                                .formatted(backup.path(), manifest.application(), manifest.schema(), known));
            }
        } catch (IOException e) {
            throw new BackupException("the steps of the tables cannot be read: " + e.getMessage(), e);
        }
    }

    private static void requireSame(BackupFile backup, Map<String, Long> counts, PrivatePostgres postgres)
            throws IOException, SQLException {
        try (Connection connection = postgres.connect()) {
            Map<String, Long> found = Tables.counts(connection);
            if (!found.equals(counts)) {
                throw new BackupException(
                        "%s does not hold what it says: %s rows, and should be %s. Nothing was replaced."
                                .formatted(backup.path(), found, counts));
            }
        }
    }
}
