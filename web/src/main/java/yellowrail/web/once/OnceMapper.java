package yellowrail.web.once;

import java.time.OffsetDateTime;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface OnceMapper {

    boolean isTaken(@Param("form") String form);

    /** @return 1, or 0 if it was taken before */
    int take(@Param("form") String form, @Param("runId") long runId, @Param("at") OffsetDateTime at);

    /**
     * Takes what is of no run.
     *
     * @return 1, or 0 if it was taken before or the transaction has stored nothing
     */
    int takeIfStoring(@Param("form") String form, @Param("at") OffsetDateTime at);

    /** Forgets what is of no run. */
    void forget(@Param("before") OffsetDateTime before);
}
