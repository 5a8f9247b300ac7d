package yellowrail.web.iron;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface KeptMapper {

    /** Oldest first. */
    List<KeptRow> ofAmp(@Param("ampId") long ampId);

    void keep(@Param("ampId") long ampId, @Param("fields") String fields);

    int drop(@Param("ampId") long ampId, @Param("id") long id);
}
