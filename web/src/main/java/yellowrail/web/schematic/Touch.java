package yellowrail.web.schematic;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import yellowrail.core.finding.Code;
import yellowrail.core.walk.Route;

/**
 * Where a touched node of the drawing leads.
 *
 * @param path of the page, with its query as far as that goes
 * @param at what is typed at the stop one stands at; blank for none
 */
public record Touch(String path, String at) {

    /** A walk of a run. */
    public static Touch of(long runId, Route route, String at) {
        return new Touch("/runs/%d/walk?route=%s&node=".formatted(runId, Code.of(route)), at);
    }

    public String to(String typed) {
        return path + URLEncoder.encode(typed, StandardCharsets.UTF_8);
    }

    public boolean isAt(String typed) {
        return typed.equals(at);
    }
}
