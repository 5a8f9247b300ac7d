package yellowrail.web.recording;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.ToLongFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.Run;

/** The sound files of runs. */
@Service
public class Recordings {

    static final int MOST = 100;
    private static final long MOST_BYTES = 1L << 29;

    private final RecordingMapper mapper;
    private final Clock clock;

    Recordings(RecordingMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Oldest first, none that was dropped. */
    @Transactional(readOnly = true)
    public List<RecordingRow> ofRun(long runId, RecordingKind kind) {
        return mapper.ofRun(runId, kind);
    }

    /** The one that is asked for, or else the newest. */
    public static <K> Optional<K> shown(List<K> kept, ToLongFunction<K> id, long asked) {
        return kept.stream()
                .filter(each -> id.applyAsLong(each) == asked)
                .findFirst()
                .or(() -> kept.isEmpty() ? Optional.empty() : Optional.of(kept.get(kept.size() - 1)));
    }

    /**
     * A file as it came; empty where only what was heard came, in a run's file.
     *
     * @throws NotFoundException if there is no such recording
     */
    @Transactional(readOnly = true)
    public Optional<byte[]> sound(long runId, long id) {
        byte[] sound = mapper.sound(runId, id)
                .orElseThrow(() -> new NotFoundException("There is no recording %d of this run.".formatted(id)))
                .sound();
        return sound.length == 0 ? Optional.empty() : Optional.of(sound);
    }

    /** Says beside a field why a run takes no such file, if it does not. */
    @Transactional(readOnly = true)
    public void check(Run run, MultipartFile file, String field, Faults faults) {
        if (!run.isOpen()) {
            faults.say(field, "run.closed");
        } else if (file == null || file.isEmpty()) {
            faults.say(field, "page.prove.no-file");
        } else {
            checkRoom(run, file.getSize(), field, faults);
        }
    }

    /** @param bytes more */
    @Transactional(readOnly = true)
    public void checkRoom(Run run, long bytes, String field, Faults faults) {
        RecordingMapper.Held held = mapper.held(run.id());
        if (held.recordings() >= MOST || held.bytes() + bytes > MOST_BYTES) {
            faults.say(field, "page.prove.no-room", MOST);
        }
    }

    /** @param heard a document of what was heard in it */
    @Transactional
    public long keep(Run run, RecordingKind kind, String heard, byte[] sound) {
        return mapper.keep(run.id(), kind, OffsetDateTime.now(run.clock(clock)), heard, sound);
    }

    /** What was heard on another bench, without its sound. */
    @Transactional
    void restore(long runId, RecordingKind kind, OffsetDateTime at, String heard) {
        mapper.keep(runId, kind, at, heard, new byte[0]);
    }

    @Transactional
    public void drop(long runId, long id, boolean dropped) {
        mapper.drop(runId, id, dropped);
    }

    /** The last part of a file's path, as browsers name it. */
    public static String name(MultipartFile file) {
        String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
        String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1)
                .replaceAll("\\p{Cntrl}", "");
        return last.substring(0, Math.min(last.length(), 80));
    }
}
