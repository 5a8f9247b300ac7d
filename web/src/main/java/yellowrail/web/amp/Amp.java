package yellowrail.web.amp;

import java.time.OffsetDateTime;
import yellowrail.core.amp.AmpSheet;

/**
 * An amp with one version of its sheet.
 *
 * @param id its number
 * @param version of the sheet, from 1
 * @param savedAt when this version was saved
 * @param sheet what it is
 */
public record Amp(long id, int version, OffsetDateTime savedAt, AmpSheet sheet) {

    public SheetKey key() {
        return new SheetKey(id, version);
    }
}
