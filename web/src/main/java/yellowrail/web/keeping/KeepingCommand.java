package yellowrail.web.keeping;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.function.Function;
import org.springframework.boot.DefaultApplicationArguments;
import yellowrail.web.postgres.CannotStartException;
import yellowrail.web.postgres.ClusterFolder;
import yellowrail.web.postgres.DataFolder;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * Backups from the terminal, whether the application runs or not.
 *
 * <pre>backup FILE  |  export FILE  |  restore FILE [--replace]  |  upgrade     each with --data=DIR</pre>
 */
public final class KeepingCommand {

    private static final int CANNOT = 2;

    private final Path folder;
    private final Clock clock = Clock.systemDefaultZone();

    private KeepingCommand(Path folder) {
        this.folder = folder;
    }

    public static void main(String[] args) {
        var options = new DefaultApplicationArguments(args);
        try {
            Path folder = Path.of(options.getOptionValues("data").get(0)).toAbsolutePath();
            System.out.println(new KeepingCommand(folder).run(options));
        } catch (CannotStartException e) {
            System.err.println(e.getMessage());
            System.exit(CANNOT);
        }
    }

    private String run(DefaultApplicationArguments options) {
        String verb = options.getNonOptionArgs().get(0);
        if (verb.equals("upgrade")) {
            try (DataFolder claimed = claim()) {
                return new Upgrade(claimed.path(), clock).run();
            }
        }
        Path file = Path.of(options.getNonOptionArgs().get(1)).toAbsolutePath();
        return switch (verb) {
            case "backup" -> backup(new BackupFile(file));
            case "export" -> export(file);
            case "restore" -> restore(new BackupFile(file), options.containsOption("replace"));
            default -> throw new BackupException(verb + " is not known.");
        };
    }

    private DataFolder claim() {
        return DataFolder.claim(folder, "a backup that is being made or brought back");
    }

    private String backup(BackupFile file) {
        Manifest made = withDatabase(postgres -> file.write(postgres, clock));
        return "%s holds amps: %d, runs: %d, readings: %d, tubes: %d."
                .formatted(
                        file.path(),
                        made.rows("amp"),
                        made.rows("bench_run"),
                        made.rows("reading"),
                        made.rows("drawer_tube"));
    }

    private String export(Path file) {
        return withDatabase(postgres -> {
            try {
                return WholeFile.write(file, draft -> {
                    try (Connection connection = postgres.connect();
                            OutputStream out = new BufferedOutputStream(Files.newOutputStream(draft))) {
                        new Everything(connection).write(out);
                        return file + " is written.";
                    }
                });
            } catch (SQLException | IOException e) {
                throw new BackupException("%s could not be written: %s.".formatted(file, FileTrouble.of(e)), e);
            }
        });
    }

    private String restore(BackupFile file, boolean replaces) {
        try (DataFolder claimed = claim()) {
            Path aside = new Restore(claimed.path(), clock).from(file, replaces);
            return "%s is brought back into %s.%s"
                    .formatted(
                            file.path(),
                            folder,
                            aside.equals(folder) ? "" : " What was there before is kept in " + aside + ".");
        }
    }

    /** With the server of the application that runs, or with one of our own for as long as it takes. */
    private <T> T withDatabase(Function<PrivatePostgres, T> work) {
        if (new ClusterFolder(folder).version().isEmpty()) {
            throw new BackupException("There are no data in %s.".formatted(folder));
        }
        try (DataFolder claimed = claim();
                PrivatePostgres postgres = PrivatePostgres.start(claimed.path())) {
            return work.apply(postgres);
        } catch (DataFolder.InUseException running) {
            return work.apply(PrivatePostgres.lookInto(folder));
        }
    }
}
