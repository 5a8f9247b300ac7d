package yellowrail.web.seat;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who sits where. */
@Service
public class SeatService {

    /** {@code 6L6GC of V2}. */
    private static final Pattern FROM = Pattern.compile("(?i)\\bof\\s+(\\S+)\\s*$");

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

    /** The same as a run shows it: of one that is closed, who sat there then. */
    @Transactional(readOnly = true)
    public Map<String, String> labels(long ampId, long runId) {
        List<SocketLabel> then = mapper.whenClosed(runId);
        return then.isEmpty()
                ? labels(ampId)
                : then.stream().collect(Collectors.toMap(SocketLabel::socket, SocketLabel::label));
    }

    /** Keeps what is written on the tubes of a run that is closed. */
    @Transactional
    public void keep(long runId, Map<String, String> labels) {
        labels.forEach((socket, label) -> mapper.keep(runId, socket, label));
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

    /**
     * Tubes that were logged into sockets, all at once: {@code 6L6GC B7} is the drawer's B7, {@code of V2} the one that
     * sat in V2; any other tube is none of the drawer's, and who sat there is out.
     *
     * @param words what was logged, by socket
     */
    @Transactional
    public void logged(long ampId, Map<String, String> words, OffsetDateTime at) {
        Map<String, Long> before = mapper.ofAmp(ampId).stream().collect(Collectors.toMap(Seat::socket, Seat::tubeId));
        Map<String, Long> seated = new LinkedHashMap<>();
        words.forEach((socket, said) -> {
            Optional<Long> tube = tube(said, before);
            tube.ifPresent(known -> seated.put(socket, known));
            if (tube.isEmpty() && before.containsKey(socket)) {
                mapper.empty(ampId, socket, at);
            }
        });
        place(ampId, seated, at);
    }

    private Optional<Long> tube(String said, Map<String, Long> before) {
        Matcher from = FROM.matcher(said);
        if (from.find()) {
            return before.entrySet().stream()
                    .filter(seat -> seat.getKey().equalsIgnoreCase(from.group(1)))
                    .map(Map.Entry::getValue)
                    .findFirst();
        }
        String[] parts = said.replaceAll("(?i)\\bnew\\b", "").strip().split("\\s+", 2);
        return parts.length < 2 ? Optional.empty() : mapper.called(parts[0], parts[1].strip());
    }

    /** What was logged into a socket at a moment was not so. */
    @Transactional
    public void struck(long ampId, String socket, OffsetDateTime at) {
        mapper.unseat(ampId, socket, at);
        mapper.reseat(ampId, at);
    }

    /** Seats tubes by socket; whoever sat there, and wherever they sat, is taken out first. */
    @Transactional
    public void place(long ampId, Map<String, Long> tubes, OffsetDateTime at) {
        tubes.forEach((socket, tube) -> mapper.clear(tube, ampId, socket, at));
        tubes.forEach((socket, tube) -> mapper.seat(tube, ampId, socket, at));
    }
}
