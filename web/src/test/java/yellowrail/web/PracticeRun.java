package yellowrail.web;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A practice amp that is warm, as a visitor drives it.
 *
 * @param path of its run
 */
public record PracticeRun(Visitor visitor, String path) {

    public static PracticeRun warm(Visitor visitor) {
        Map<String, String> form = new HashMap<>(visitor.form("/practice", "/practice"));
        form.putAll(Map.of("exercise", "0", "seed", "5"));
        PracticeRun run = new PracticeRun(visitor, Visitor.location(visitor.post("/practice", form)));
        run.post("/ticks/closed", Map.of("ticked", "true"));
        run.post("/practice/power", Map.of());
        run.post("/practice/wait", Map.of("minutes", "10"));
        return run;
    }

    public HttpResponse<String> post(String action, Map<String, String> fields) {
        Map<String, String> form = new HashMap<>(visitor.form("/practice", "/practice"));
        form.putAll(fields);
        return visitor.post(path + action, form);
    }

    /** The pot turned, and all read that a setting is known by. */
    public void set(String position) {
        post("/practice/turn", Map.of("pot", "0", "position", position));
        for (String probe : List.of("mains", "V1", "V2", "plate", "screen")) {
            post("/practice/probe", Map.of("probe", probe));
        }
    }
}
