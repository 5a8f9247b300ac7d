package yellowrail.web.run;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface RunMapper {

    Optional<Run> run(@Param("id") long id);

    List<Run> runs(@Param("runIds") Collection<Long> runIds);

    /** A run, held until the transaction ends: whoever writes to its log or closes it waits. */
    Optional<Long> lock(@Param("id") long id);

    Optional<Run> newestOf(@Param("ampId") long ampId);

    /** The newest run of every amp on the bench that has one. */
    List<Run> newestOfAll();

    /** The open runs on amps of the bench whose last row was entered since. */
    List<Run> readSince(@Param("since") OffsetDateTime since);

    List<Run> ofAmp(@Param("ampId") long ampId);

    /** Begins a run unless one is open. */
    void begin(@Param("ampId") long ampId, @Param("at") OffsetDateTime at);

    /** @return 1, or 0 if it was closed before */
    int close(@Param("id") long id, @Param("version") int version, @Param("at") OffsetDateTime at);

    void setClock(@Param("id") long id, @Param("offset") double offset);

    /** @return the number of the row; empty if there was such a row already */
    Optional<Long> add(NewReading reading);

    Optional<ReadingRow> row(@Param("runId") long runId, @Param("id") long id);

    /** The newest rows, newest first, struck ones among them. */
    List<ReadingRow> newest(@Param("runId") long runId, @Param("before") long before, @Param("limit") int limit);

    /** The newest rows of each of these runs, oldest first, struck ones among them. */
    List<ReadingRow> newestOfEach(@Param("runIds") Collection<Long> runIds, @Param("limit") int limit);

    /** Every row of these runs, oldest first, struck ones among them. */
    List<ReadingRow> whole(@Param("runIds") Collection<Long> runIds);

    /** Rows that count of readings taken from one time to another, ends included. */
    List<ReadingRow> takenBetween(
            @Param("runId") long runId, @Param("from") OffsetDateTime from, @Param("to") OffsetDateTime to);

    /** Tubes put in and findings of these runs, in the order of entry, struck ones left out. */
    List<ReadingRow> said(@Param("runIds") Collection<Long> runIds);

    /**
     * What a node read when the amp was left.
     *
     * @param mains it was read at, V; null where that was not read
     */
    record AsLeft(String target, double volts, Double mains) {}

    List<AsLeft> nodesAsLeft(@Param("ampId") long ampId, @Param("before") long before);

    /** What was typed of readings that were asked about and kept, struck ones left out. */
    List<String> kept(@Param("runId") long runId);

    /** How far a run has come: its last row, and the version of the sheet in force. */
    record Far(long runId, long reading, int sheet) {}

    List<Far> far(@Param("runIds") Collection<Long> runIds);

    /** A run and a row of it. */
    record End(long runId, long upTo) {}

    /** Of each kind at each place the last one up to a row, struck ones left out. */
    List<ReadingRow> latestOfEach(@Param("ends") Collection<End> ends);

    /** The tube put last into each socket of the amp in the runs before each of these. */
    List<ReadingRow> tubesBefore(@Param("runIds") Collection<Long> runIds);
}
