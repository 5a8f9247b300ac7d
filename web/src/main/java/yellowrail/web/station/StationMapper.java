package yellowrail.web.station;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface StationMapper {

    void add(StationRow row);

    /** In the order they happened. */
    List<StationRow> ofRun(@Param("runId") long runId);
}
