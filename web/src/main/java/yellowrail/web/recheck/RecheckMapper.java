package yellowrail.web.recheck;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface RecheckMapper {

    void add(
            @Param("ampId") long ampId,
            @Param("runId") long runId,
            @Param("kind") String kind,
            @Param("dueAt") OffsetDateTime dueAt,
            @Param("earlyMinutes") long earlyMinutes);

    /** What an earlier run had planned is overtaken by a later one. */
    void dropAll(@Param("ampId") long ampId);

    /** What the readings of a run have ticked off stays so. */
    void tickOff(@Param("ampId") long ampId, @Param("runId") long runId);

    /** Those that are not dropped and that no reading has ticked off, the earliest first. */
    List<RecheckRow> open();

    List<RecheckRow> openOf(@Param("ampId") long ampId);

    /** @return 1, or 0 if there is no such one of this amp that was due then */
    int move(
            @Param("ampId") long ampId,
            @Param("id") long id,
            @Param("was") OffsetDateTime was,
            @Param("dueAt") OffsetDateTime dueAt);

    int drop(@Param("ampId") long ampId, @Param("id") long id);
}
