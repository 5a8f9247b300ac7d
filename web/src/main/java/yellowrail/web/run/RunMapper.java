package yellowrail.web.run;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface RunMapper {

    Optional<Run> run(@Param("id") long id);

    /** The same, held until the transaction ends: whoever writes to its log or closes it waits. */
    Optional<Long> lock(@Param("id") long id);

    Optional<Run> newestOf(@Param("ampId") long ampId);

    List<Run> ofAmp(@Param("ampId") long ampId);

    /** Begins a run unless one is open. */
    void begin(@Param("ampId") long ampId);

    void close(@Param("id") long id, @Param("version") int version);

    void setClock(@Param("id") long id, @Param("offset") double offset);

    /** @return the number of the row; empty if there was such a row already */
    Optional<Long> add(NewReading reading);

    boolean isFormTaken(@Param("form") String form);

    /** @return 1, or 0 if the form was taken before */
    int takeForm(@Param("form") String form, @Param("runId") long runId);

    Optional<ReadingRow> row(@Param("runId") long runId, @Param("id") long id);

    /** The newest rows, newest first, struck ones among them. */
    List<ReadingRow> newest(@Param("runId") long runId, @Param("before") long before, @Param("limit") int limit);

    /** Of each kind at each place the last one up to a row, struck ones left out. */
    List<ReadingRow> latestOfEach(@Param("runId") long runId, @Param("upTo") long upTo);

    /** The tube put last into each socket of an amp in the runs before this one. */
    List<ReadingRow> tubesBefore(@Param("ampId") long ampId, @Param("runId") long runId);
}
