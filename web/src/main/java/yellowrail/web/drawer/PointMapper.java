package yellowrail.web.drawer;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface PointMapper {

    void add(@Param("tubeId") long tubeId, @Param("point") PointRow point, @Param("at") OffsetDateTime at);

    /** In the order they were read. */
    List<PointRow> ofTube(@Param("tubeId") long tubeId);

    int leave(@Param("tubeId") long tubeId, @Param("id") long id, @Param("out") boolean out);

    void addPractice(@Param("tubeId") long tubeId, @Param("seed") long seed);

    /** The seed of a made-up tube. */
    Optional<Long> practice(@Param("tubeId") long tubeId);
}
