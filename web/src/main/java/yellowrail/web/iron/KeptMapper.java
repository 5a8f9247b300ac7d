package yellowrail.web.iron;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface KeptMapper {

    /** Oldest first. */
    List<KeptRow> ofAmp(@Param("ampId") long ampId);

    void keep(@Param("ampId") long ampId, @Param("setting") String setting, @Param("at") OffsetDateTime at);

    int drop(@Param("ampId") long ampId, @Param("id") long id);
}
