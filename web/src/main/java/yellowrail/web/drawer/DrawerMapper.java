package yellowrail.web.drawer;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DrawerMapper {

    /** Adds a tube, or replaces what is told of it; gives its number. */
    long save(@Param("type") String type, @Param("label") String label, @Param("tube") String tube);

    /** @return 0 if another tube bears this name */
    int rename(
            @Param("id") long id, @Param("type") String type, @Param("label") String label, @Param("tube") String tube);

    void addTest(@Param("tubeId") long tubeId, @Param("test") String test);

    Optional<TubeRecord> tube(@Param("id") long id);

    Optional<Long> id(@Param("type") String type, @Param("label") String label);

    /** Newest first. */
    List<String> tests(@Param("tubeId") long tubeId);

    /** By type and label, each with its newest test; a blank type is any. */
    List<TubeRecord> all(@Param("type") String type);

    /** Every test with its tube, oldest first; a tube without a test once. */
    List<TubeRecord> everyTest();

    List<String> types();
}
