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

    /**
     * @param at null to bring it back
     * @return 0 if there are no such figures
     */
    int remove(@Param("name") String name, @Param("at") OffsetDateTime at);

    /** Those that were deleted. */
    List<String> removed();

    /** Whether a sheet, a tube of the drawer or a log names this type. */
    boolean isNamed(@Param("name") String name);
}
