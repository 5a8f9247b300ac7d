package yellowrail.web.sitting;

import java.util.Collection;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface SittingMapper {

    /** Open runs in whose amps tubes of the drawer sit or sat. */
    List<Long> open();

    /** Newest first. */
    List<SittingRow> ofTube(@Param("tubeId") long tubeId);

    /** The newest sitting of each of these tubes that speaks against it. */
    List<SittingRow> suspects(@Param("tubeIds") Collection<Long> tubeIds);

    void write(
            @Param("seatId") long seatId,
            @Param("runId") long runId,
            @Param("onSeconds") double onSeconds,
            @Param("crept") String crept);

    void setWritten(@Param("runId") long runId);

    /** Closed runs whose sittings are not written down. */
    List<Long> missing();
}
