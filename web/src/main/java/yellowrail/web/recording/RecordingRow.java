package yellowrail.web.recording;

import java.time.OffsetDateTime;

/**
 * A kept recording without its sound.
 *
 * @param heard a document of its kind's feature
 */
public record RecordingRow(long id, OffsetDateTime keptAt, String heard) {}
