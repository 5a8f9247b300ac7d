package yellowrail.web.recheck;

import java.time.OffsetDateTime;

/**
 * A look that is due, or will be.
 *
 * @param amp the amp's name
 * @param kind how long after the run
 */
public record RecheckRow(long id, long ampId, String amp, long runId, String kind, OffsetDateTime dueAt) {}
