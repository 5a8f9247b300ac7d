package yellowrail.web.device;

import java.time.OffsetDateTime;

/**
 * A device that was let in.
 *
 * @param goodUntil when it has to be told a code again
 * @param seenAt when it last asked for something, give or take {@link Devices#SEEN_EVERY}
 */
public record Device(long id, String name, OffsetDateTime letInAt, OffsetDateTime goodUntil, OffsetDateTime seenAt) {}
