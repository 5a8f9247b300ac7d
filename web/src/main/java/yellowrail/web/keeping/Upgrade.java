package yellowrail.web.keeping;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import yellowrail.web.postgres.ClusterFolder;
import yellowrail.web.postgres.Installed;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * Brings the data to the newest installed version of PostgreSQL, which does not read what an older one wrote: a backup
 * with the old server, brought back into the new one. The old folder stays.
 */
final class Upgrade {

    private final Path folder;
    private final Clock clock;

    /** @param folder the data folder, claimed */
    Upgrade(Path folder, Clock clock) {
        this.folder = folder;
        this.clock = clock;
    }

    /** @return what was done, for the terminal */
    String run() {
        Installed installed = Installed.find();
        int newest = installed.programs().lastKey();
        int written = new ClusterFolder(folder)
                .version()
                .orElseThrow(() -> new BackupException("There are no data in %s.".formatted(folder)));
        if (written == newest) {
            return "The data in %s are of PostgreSQL %d already, the newest that is installed."
                    .formatted(folder, newest);
        }
        if (!installed.programs().containsKey(written)) {
            throw new BackupException(lost(written));
        }
        BackupFile backup = new Backups(folder, clock).named("before-postgresql-" + newest);
        try (PrivatePostgres old = PrivatePostgres.start(folder)) {
            backup.write(old, clock);
        }
        Path aside = new Restore(folder, clock).from(backup, true);
        return ("The data are of PostgreSQL %d now; every table has as many rows as before. What PostgreSQL "
                        + "%d wrote is kept "
                        + "in %s, and a backup in %s.")
                .formatted(newest, written, aside, backup.path());
    }

    private String lost(int written) {
        Optional<Backups.Kept> newest = new Backups(folder, clock).newest();
        String install = "What can read them is gone: install Debian's package postgresql-%d beside the others"
                .formatted(written);
        return newest.map(kept -> install
                        + ", or go on with the newest backup, of %s: ./yellow-rail restore %s --replace --data %s"
                                .formatted(kept.manifest().made(), kept.file(), folder))
                .orElse(install + ".");
    }
}
