package yellowrail.web.walk;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import yellowrail.core.walk.Route;

/**
 * Where a touched node of the drawing leads.
 *
 * @param path of the page, with its query as far as that goes
 * @param at the node one stands at; blank for none
 */
public record Touch(String path, String at) {

    static Touch of(long runId, Route route, String at) {
        return new Touch(
                "/runs/%d/walk?route=%s&node=at+".formatted(runId, route.name().toLowerCase(Locale.ROOT)), at);
    }

    public String to(String label) {
        return path + URLEncoder.encode(label, StandardCharsets.UTF_8);
    }

    public boolean isAt(String label) {
        return label.equals(at);
    }
}
