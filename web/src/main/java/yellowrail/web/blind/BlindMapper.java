package yellowrail.web.blind;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface BlindMapper {

    long begin(@Param("runId") long runId, @Param("plan") String plan, @Param("at") OffsetDateTime at);

    /** One that was opened on another bench. */
    long restore(
            @Param("runId") long runId,
            @Param("plan") String plan,
            @Param("begunAt") OffsetDateTime begunAt,
            @Param("position") int position,
            @Param("openedAt") OffsetDateTime openedAt);

    Optional<BlindRow> of(@Param("id") long id);

    /** Oldest first. */
    List<BlindRow> ofRun(@Param("runId") long runId);

    /** @return 1 if it stood at that position and waited for it */
    int ready(@Param("id") long id, @Param("position") int position);

    /** @return 1 if it stood at that position and was ready */
    int next(@Param("id") long id, @Param("position") int position);

    void note(
            @Param("id") long id,
            @Param("position") int position,
            @Param("mark") Integer mark,
            @Param("answer") String answer,
            @Param("words") String words,
            @Param("at") OffsetDateTime at);

    /** In the order of the steps. */
    List<NoteRow> notes(@Param("id") long id);

    int open(@Param("id") long id, @Param("at") OffsetDateTime at);
}
