package yellowrail.web.amp;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface AmpMapper {

    long addAmp(@Param("practice") boolean practice);

    /** @return 1, or 0 if that version was saved by somebody else in the meantime */
    int addSheet(@Param("ampId") long ampId, @Param("version") int version, @Param("sheet") String sheet);

    Optional<AmpRow> newest(@Param("ampId") long ampId);

    Optional<AmpRow> version(@Param("ampId") long ampId, @Param("version") int version);

    /** These versions of a sheet, rising. */
    List<AmpRow> versions(@Param("ampId") long ampId, @Param("numbers") Collection<Integer> numbers);

    /** The amps of the bench; practice amps stand elsewhere. */
    List<AmpRow> all();
}
