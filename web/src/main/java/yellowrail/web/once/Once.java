package yellowrail.web.once;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The one-time numbers of what was sent and stored. A number that is none, or blank, was never taken. */
@Service
public class Once {

    private static final Duration KEPT = Duration.ofDays(7);

    private final OnceMapper mapper;
    private final Clock clock;

    Once(OnceMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The number as it is stored, if it is one. */
    static Optional<String> number(String form) {
        try {
            return form == null || form.isBlank()
                    ? Optional.empty()
                    : Optional.of(UUID.fromString(form).toString());
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    public boolean isTaken(String form) {
        return number(form).map(mapper::isTaken).orElse(false);
    }

    /**
     * Takes a number, in the transaction that stores what came with it.
     *
     * @return false if there is none, or it was taken before
     */
    public boolean take(String form, long runId) {
        return number(form)
                .filter(number -> mapper.take(number, runId, OffsetDateTime.now(clock)) > 0)
                .isPresent();
    }

    /**
     * The same for what is of no run.
     *
     * @return false if it was taken before, or the transaction stores nothing
     */
    boolean take(String form) {
        return mapper.takeIfStoring(form, OffsetDateTime.now(clock)) > 0;
    }

    /** Forgets what nobody will send again. */
    void forgetOld() {
        mapper.forget(OffsetDateTime.now(clock).minus(KEPT));
    }
}
