package yellowrail.web.drawer;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.OptionalLong;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.trace.PointSource;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.web.layout.NotFoundException;

/** Keeps the traced points of the drawer's tubes. */
@Service
public class PointService {

    private final PointMapper mapper;
    private final Clock clock;

    PointService(PointMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** In the order they were read. */
    @Transactional(readOnly = true)
    public List<PointRow> ofTube(long tubeId) {
        return mapper.ofTube(tubeId);
    }

    @Transactional
    public void keep(long tubeId, List<TracedPoint> points, PointSource by) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        points.forEach(point -> mapper.add(tubeId, PointRow.of(point, by), now));
    }

    /** Leaves a point out of the fit, or takes it back; nothing is deleted. */
    @Transactional
    public void leave(long tubeId, long id, boolean out) {
        if (mapper.leave(tubeId, id, out) == 0) {
            throw new NotFoundException("There is no point %d of tube %d.".formatted(id, tubeId));
        }
    }

    @Transactional
    public void makePractice(long tubeId, long seed) {
        mapper.addPractice(tubeId, seed);
    }

    /** The seed of a made-up tube; empty for a real one. */
    @Transactional(readOnly = true)
    public OptionalLong practice(long tubeId) {
        return mapper.practice(tubeId).map(OptionalLong::of).orElseGet(OptionalLong::empty);
    }
}
