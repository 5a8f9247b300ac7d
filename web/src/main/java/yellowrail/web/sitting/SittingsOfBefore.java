package yellowrail.web.sitting;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import yellowrail.web.run.RunService;

/** Writes down the sittings of runs that were closed before there were any: once, at the first start with them. */
@Component
@Order(0)
class SittingsOfBefore implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(SittingsOfBefore.class);

    private final SittingService sittings;
    private final RunService runs;

    SittingsOfBefore(SittingService sittings, RunService runs) {
        this.sittings = sittings;
        this.runs = runs;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<Long> missing = sittings.missing();
        missing.forEach(id -> sittings.write(runs.run(id)));
        if (!missing.isEmpty()) {
            LOG.warn("closed runs gone through for what they tell of their tubes: {}", missing.size());
        }
    }
}
