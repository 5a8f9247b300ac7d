package yellowrail.web.device;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DeviceMapper {

    void add(
            @Param("name") String name,
            @Param("sum") byte[] sum,
            @Param("at") OffsetDateTime at,
            @Param("until") OffsetDateTime until);

    Optional<Device> find(@Param("sum") byte[] sum, @Param("at") OffsetDateTime at);

    /** Those that are still let in, the newest first. */
    List<Device> all(@Param("at") OffsetDateTime at);

    void seen(@Param("id") long id, @Param("at") OffsetDateTime at);

    int drop(@Param("id") long id);

    /** Forgets those whose time is over. */
    void dropOld(@Param("at") OffsetDateTime at);
}
