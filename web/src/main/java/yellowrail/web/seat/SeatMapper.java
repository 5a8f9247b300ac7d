package yellowrail.web.seat;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface SeatMapper {

    List<Seat> ofAmp(@Param("ampId") long ampId);

    /** What was written on the tubes when a run was closed; none while it is open. */
    List<SocketLabel> whenClosed(@Param("runId") long runId);

    void keep(@Param("runId") long runId, @Param("socket") String socket, @Param("label") String label);

    /** Oldest first. */
    List<Seat> ofTube(@Param("tubeId") long tubeId);

    /** Those in which a tube sits now. */
    List<Seat> taken();

    /** Every seat that these amps ever had, oldest first. */
    List<Seat> ofAmps(@Param("ampIds") Collection<Long> ampIds);

    /** Takes out whoever sits in this socket, and this tube from wherever it sits. */
    void clear(
            @Param("tubeId") long tubeId,
            @Param("ampId") long ampId,
            @Param("socket") String socket,
            @Param("at") OffsetDateTime at);

    void seat(
            @Param("tubeId") long tubeId,
            @Param("ampId") long ampId,
            @Param("socket") String socket,
            @Param("at") OffsetDateTime at);

    /** The drawer's tube of a type that has this written on it, in capitals or not. */
    Optional<Long> called(@Param("type") String type, @Param("label") String label);

    /** Takes out whoever sits in this socket. */
    void empty(@Param("ampId") long ampId, @Param("socket") String socket, @Param("at") OffsetDateTime at);

    /** Who was put into this socket at a moment was not. */
    void unseat(@Param("ampId") long ampId, @Param("socket") String socket, @Param("at") OffsetDateTime at);

    /** Whoever was taken out at a moment sits where they sat, if they and the socket are free. */
    void reseat(@Param("ampId") long ampId, @Param("at") OffsetDateTime at);
}
