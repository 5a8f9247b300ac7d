package yellowrail.web.parcel;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * An amp with all that is known of it, as a file: docs/keeping.md describes it.
 *
 * @param format always {@link #FORMAT}
 * @param version of the format
 * @param name of the amp
 * @param sheets every version of its sheet, oldest first, each a document with a format of its own
 * @param runs oldest first, each as the file of a run
 * @param drawer the tubes that sit in it with their tests, as the drawer's own file
 * @param seats who sits where: by socket, the type and the label
 */
record AmpDocument(
        String format,
        int version,
        String name,
        List<JsonNode> sheets,
        List<JsonNode> runs,
        String drawer,
        Map<String, Tube> seats) {

    static final String FORMAT = "yellow-rail-amp";
    static final int VERSION = 1;

    /** A tube by what it is called in the drawer. */
    record Tube(String type, String label) {}
}
