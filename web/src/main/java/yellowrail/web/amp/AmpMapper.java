package yellowrail.web.amp;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface AmpMapper {

    long addAmp(@Param("practice") boolean practice, @Param("at") OffsetDateTime at);

    /** @return 1, or 0 if that version was saved by somebody else in the meantime */
    int addSheet(
            @Param("ampId") long ampId,
            @Param("version") int version,
            @Param("name") String name,
            @Param("sheet") String sheet,
            @Param("at") OffsetDateTime at);

    /** The amps of the bench, by number. */
    List<AmpName> names();

    Optional<AmpRow> newest(@Param("ampId") long ampId);

    Optional<AmpRow> version(@Param("ampId") long ampId, @Param("version") int version);

    List<AmpRow> newestOf(@Param("ampIds") Collection<Long> ampIds);

    List<AmpRow> versions(@Param("keys") Collection<SheetKey> keys);

    /** The amps of the bench; practice amps stand elsewhere. */
    List<AmpRow> all();

    /** @param at null where it comes back; @return 1, or 0 if there is no such one, or it is practised on */
    int putAway(@Param("ampId") long ampId, @Param("at") OffsetDateTime at);

    List<Long> away();

    /**
     * @param at null to bring it back
     * @return 0 if it has not left the bench: then it is not deleted
     */
    int remove(@Param("ampId") long ampId, @Param("at") OffsetDateTime at);

    int onTheBench(@Param("ampId") long ampId);

    /** Those that were deleted, newest first. */
    List<Long> removed();
}
