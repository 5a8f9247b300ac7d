package yellowrail.web.prove;

import java.time.OffsetDateTime;

/** A kept recording without its sound; {@code heard} is a {@link HeardDocument}. */
record RecordingRow(long id, OffsetDateTime keptAt, String heard) {}
