package yellowrail.web.blind;

import java.time.OffsetDateTime;

/**
 * A comparison.
 *
 * @param plan a {@link BlindDocument}
 * @param position the step it stands at, from 0
 * @param ready whether the amp is set for it
 * @param openedAt null while it is blind
 */
record BlindRow(
        long id,
        long runId,
        String plan,
        OffsetDateTime begunAt,
        int position,
        boolean ready,
        OffsetDateTime openedAt) {}
