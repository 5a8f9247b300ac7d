package yellowrail.web.tubes;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface TubeMapper {

    List<String> own();

    Optional<Integer> version(@Param("name") String name);

    /** @return 1, or 0 if there is a type of that name */
    int add(@Param("name") String name, @Param("type") String type, @Param("at") OffsetDateTime at);

    /** @return 1, or 0 if it is not of this version any more */
    int change(
            @Param("name") String name,
            @Param("version") int version,
            @Param("type") String type,
            @Param("at") OffsetDateTime at);
}
