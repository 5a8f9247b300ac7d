package yellowrail.web.recording;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface RecordingMapper {

    /** Oldest first, none that was dropped. */
    List<RecordingRow> ofRun(@Param("runId") long runId, @Param("kind") RecordingKind kind);

    Held held(@Param("runId") long runId);

    /**
     * What a run holds, those dropped too.
     *
     * @param bytes of all files
     */
    record Held(long recordings, long bytes) {}

    Optional<SoundRow> sound(@Param("runId") long runId, @Param("id") long id);

    long keep(
            @Param("runId") long runId,
            @Param("kind") RecordingKind kind,
            @Param("at") OffsetDateTime at,
            @Param("heard") String heard,
            @Param("sound") byte[] sound);

    int drop(@Param("runId") long runId, @Param("id") long id, @Param("dropped") boolean dropped);
}
