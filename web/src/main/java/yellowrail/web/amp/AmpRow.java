package yellowrail.web.amp;

import java.time.OffsetDateTime;

/** A row of amp_sheet, its sheet still JSON. */
record AmpRow(long ampId, int version, OffsetDateTime savedAt, String sheet) {}
