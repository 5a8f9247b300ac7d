package yellowrail.web.practice;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface PracticeMapper {

    void add(PracticeRow row);

    /** Locked until the transaction ends: two pages may look at one bench. */
    Optional<PracticeRow> locked(@Param("runId") long runId);

    Optional<PracticeRow> lastLookedAt();

    void save(@Param("runId") long runId, @Param("state") String state, @Param("lookedAt") OffsetDateTime lookedAt);

    void mark(@Param("runId") long runId, @Param("said") String said, @Param("marking") String marking);

    /** What came of each exercise that was ever tried. */
    List<PracticeRecord> records();

    /** Newest first. */
    List<PracticeRow> newest();
}
