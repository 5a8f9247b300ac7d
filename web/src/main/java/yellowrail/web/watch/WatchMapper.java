package yellowrail.web.watch;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface WatchMapper {

    Optional<Watch> of(@Param("runId") long runId);

    /** Begins a watch of a run in the place of the one it had. */
    void begin(
            @Param("runId") long runId,
            @Param("place") String place,
            @Param("byWhom") String byWhom,
            @Param("everySeconds") long everySeconds,
            @Param("until") OffsetDateTime until,
            @Param("dueAt") OffsetDateTime dueAt);

    void end(@Param("runId") long runId);

    /** Those whose time has come, each put off to its next time: whoever gets one here reads it. */
    List<Watch> due(@Param("now") OffsetDateTime now);

    /** Those that are over, or whose run is closed. */
    void clear(@Param("now") OffsetDateTime now);

    void read(@Param("runId") long runId, @Param("at") OffsetDateTime at, @Param("shown") String shown);

    void failed(@Param("runId") long runId, @Param("fault") String fault, @Param("doubted") Double doubted);
}
