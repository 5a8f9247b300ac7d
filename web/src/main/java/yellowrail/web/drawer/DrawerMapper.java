package yellowrail.web.drawer;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DrawerMapper {

    /** Adds tubes, or tells those anew whose type and label are there; no two of the same in one call. */
    void save(@Param("tubes") String tubes, @Param("at") OffsetDateTime at);

    /** @return 0 if a tube bears this name already, also one that somebody else adds at this moment */
    int add(@Param("tube") TubeRow tube, @Param("at") OffsetDateTime at);

    /** @return 0 if another tube bears this name, or somebody else has changed this one in the meantime */
    int change(@Param("tube") TubeRow tube, @Param("at") OffsetDateTime at);

    /** Adds tests to the tubes of these types and labels; a test that is there already comes in once. */
    void addTests(@Param("tests") String tests, @Param("at") OffsetDateTime at);

    void addTest(@Param("tubeId") long tubeId, @Param("test") TestRow test, @Param("at") OffsetDateTime at);

    /** Each with its newest test, by type and label. */
    List<TubeRow> tubes(@Param("ids") Collection<Long> ids);

    Optional<Long> id(@Param("type") String type, @Param("label") String label);

    /** Newest first. */
    List<TestRow> tests(@Param("tubeId") long tubeId);

    /** By type and label, each with its newest test. */
    List<TubeRow> find(@Param("search") DrawerSearch search, @Param("limit") int limit, @Param("offset") long offset);

    int count(@Param("search") DrawerSearch search);

    /**
     * Every test with its tube, oldest first; a tube without a test once.
     *
     * @param ids of which tubes; null for all
     */
    List<TubeRow> everyTest(@Param("ids") Collection<Long> ids);

    List<String> types();

    /**
     * @param at null to bring it back
     * @return 0 if there is no such tube, or it sits in an amp and so cannot be deleted
     */
    int remove(@Param("id") long id, @Param("at") OffsetDateTime at);

    boolean isRemoved(@Param("id") long id);
}
