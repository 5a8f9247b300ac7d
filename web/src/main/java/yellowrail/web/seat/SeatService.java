package yellowrail.web.seat;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who sits where. */
@Service
public class SeatService {

    private final SeatMapper mapper;

    SeatService(SeatMapper mapper) {
        this.mapper = mapper;
    }

    /** Who sits in this amp now. */
    @Transactional(readOnly = true)
    public List<Seat> ofAmp(long ampId) {
        return mapper.ofAmp(ampId);
    }

    /** What is written on the tubes of this amp, by socket. */
    @Transactional(readOnly = true)
    public Map<String, String> labels(long ampId) {
        return mapper.ofAmp(ampId).stream().collect(Collectors.toMap(Seat::socket, Seat::label));
    }

    /** Where this tube sat, oldest first. */
    @Transactional(readOnly = true)
    public List<Seat> ofTube(long tubeId) {
        return mapper.ofTube(tubeId);
    }

    /** Who sits anywhere now. */
    @Transactional(readOnly = true)
    public List<Seat> taken() {
        return mapper.taken();
    }

    /** Every seat that these amps ever had, oldest first. */
    @Transactional(readOnly = true)
    public List<Seat> ofAmps(Collection<Long> ampIds) {
        return ampIds.isEmpty() ? List.of() : mapper.ofAmps(ampIds);
    }

    /** Seats tubes by socket; whoever sat there, and wherever they sat, is taken out first. */
    @Transactional
    public void place(long ampId, Map<String, Long> tubes, OffsetDateTime at) {
        tubes.forEach((socket, tube) -> mapper.clear(tube, ampId, socket, at));
        tubes.forEach((socket, tube) -> mapper.seat(tube, ampId, socket, at));
    }
}
