package yellowrail.web.outage;

import java.nio.file.Path;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;
import yellowrail.web.postgres.PrivatePostgres;
import yellowrail.web.postgres.Space;

/**
 * Whether there is room to store what is sent, as {@code /actuator/health} tells it beside whether the database
 * answers.
 */
@Component
class RecordHealth implements HealthIndicator {

    private final ObjectProvider<PrivatePostgres> postgres;

    RecordHealth(ObjectProvider<PrivatePostgres> postgres) {
        this.postgres = postgres;
    }

    @Override
    public Health health() {
        PrivatePostgres own = postgres.getIfAvailable();
        if (own == null) {
            return Health.unknown().build();
        }
        Path data = own.data();
        return (Space.isShort(data) ? Health.down() : Health.up())
                .withDetail("freeMegabytes", Space.freeMegabytes(data))
                .build();
    }
}
