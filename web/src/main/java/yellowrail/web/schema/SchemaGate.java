package yellowrail.web.schema;

import java.util.Arrays;
import java.util.Set;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.flywaydb.core.api.MigrationState;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.stereotype.Component;
import yellowrail.web.keeping.DailyBackup;
import yellowrail.web.postgres.CannotStartException;

/**
 * What happens to the tables at a start. Tables that a newer application has brought forward are left as they are: this
 * one would read them wrongly.
 */
@Component
class SchemaGate implements FlywayMigrationStrategy {

    private static final Set<MigrationState> NEWER =
            Set.of(MigrationState.FUTURE_SUCCESS, MigrationState.FUTURE_FAILED);

    private final JdbcConnectionDetails database;

    private final DailyBackup backup;

    SchemaGate(JdbcConnectionDetails database, DailyBackup backup) {
        this.database = database;
        this.backup = backup;
    }

    @Override
    public void migrate(Flyway flyway) {
        MigrationInfoService steps = flyway.info();
        Arrays.stream(steps.all())
                .filter(step -> NEWER.contains(step.getState()))
                .reduce((earlier, later) -> later)
                .ifPresent(newest -> refuse(newest, steps));
        if (steps.pending().length > 0) {
            if (steps.current() != null) {
                backup.beforeStep(steps.pending()[0].getVersion().getVersion());
            }
            unhurried(flyway).migrate();
        }
    }

    /** On a connection of its own that waits as long as a step takes: pages give up sooner. */
    private Flyway unhurried(Flyway flyway) {
        return Flyway.configure()
                .configuration(flyway.getConfiguration())
                .dataSource(database.getJdbcUrl(), database.getUsername(), database.getPassword())
                .load();
    }

    private static void refuse(MigrationInfo newest, MigrationInfoService steps) {
        String known = Arrays.stream(steps.all())
                .filter(step -> !NEWER.contains(step.getState()))
                .reduce((earlier, later) -> later)
                .map(step -> step.getVersion().getVersion())
                .orElse("0");
        throw new CannotStartException(
                ("These data were written by a newer Yellow Rail (tables of step %s; this one knows up to %s). Nothing "
                                + "was touched. Start them with the newer one, or restore a backup from before it into "
                                + "another folder.")
                        .formatted(newest.getVersion().getVersion(), known));
    }
}
