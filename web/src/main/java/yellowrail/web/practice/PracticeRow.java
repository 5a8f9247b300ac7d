package yellowrail.web.practice;

import java.time.OffsetDateTime;

/** A row of practice, its state and marking still JSON; {@code marking} is null until it is marked. */
record PracticeRow(
        long runId, String exercise, long seed, String state, OffsetDateTime lookedAt, String said, String marking) {}
