package yellowrail.web.watch;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.reading.WatchLine;

/** Keeps which meters are read by themselves, over restarts. */
@Service
public class WatchService {

    private final WatchMapper mapper;
    private final Clock clock;

    WatchService(WatchMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public Optional<Watch> of(long runId) {
        return mapper.of(runId).filter(watch -> !watch.until().isBefore(OffsetDateTime.now(clock)));
    }

    /** Begins, or ends, what a line says; the first reading is due at once. */
    @Transactional
    public void asked(long runId, WatchLine line, String byWhom) {
        if (line.off()) {
            mapper.end(runId);
            return;
        }
        OffsetDateTime now = OffsetDateTime.now(clock);
        mapper.begin(runId, line.place(), byWhom, Math.max(1, line.every().toSeconds()), now.plus(line.howLong()), now);
    }

    /** Those to be read now; nobody else gets them. */
    @Transactional
    public List<Watch> due() {
        OffsetDateTime now = OffsetDateTime.now(clock);
        mapper.clear(now);
        return mapper.due(now);
    }

    /** @param shown what it showed, as it was logged */
    @Transactional
    public void read(long runId, String shown) {
        mapper.read(runId, OffsetDateTime.now(clock), shown);
    }

    /** @param doubted what it showed, where nobody could be asked whether that is so; null otherwise */
    @Transactional
    public void failed(long runId, String fault, Double doubted) {
        mapper.failed(runId, fault, doubted);
    }
}
