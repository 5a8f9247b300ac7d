package yellowrail.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class PagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    @Test
    void pagesRunOnlyTheirOwnScripts() {
        HttpResponse<String> bench = visitor.get("/");
        assertThat(bench.headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("script-src 'self'")
                .doesNotContain("unsafe");
        assertThat(bench.body())
                .doesNotContain(" style=\"")
                .doesNotContain("onclick")
                .doesNotContain("https://");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/css/yellow-rail.css",
                "/js/bench.js",
                "/fonts/b612-latin-400-normal.woff2",
                "/webjars/htmx.org/dist/htmx.min.js",
                "/webjars/bootstrap/css/bootstrap.min.css",
                "/rail.svg"
            })
    void everythingAPageNeedsShipsWithIt(String path) {
        assertThat(visitor.get(path).statusCode()).isEqualTo(200);
    }

    @Test
    void whatAPageLoadsIsAskedForOnce() {
        List<String> loaded = Pattern.compile("<(?:link|script)[^>]+(?:src|href)=\"([^\"]+)\"")
                .matcher(visitor.get("/drawer").body())
                .results()
                .map(each -> each.group(1))
                .toList();
        assertThat(loaded).hasSizeGreaterThan(10).allSatisfy(path -> {
            HttpResponse<String> file = visitor.get(path);
            assertThat(file.statusCode()).isEqualTo(200);
            assertThat(file.headers().firstValue("Cache-Control").orElseThrow()).contains("immutable");
        });
    }

    @Test
    void filesOfAnotherEditionAreNotTakenForThese() {
        assertThat(visitor.get("/as-00000000/js/bench.js").statusCode()).isEqualTo(404);
        assertThat(visitor.get("/js/bench.js")
                        .headers()
                        .firstValue("Cache-Control")
                        .orElseThrow())
                .isEqualTo("no-cache");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "//elsewhere.example/",
                "https://elsewhere.example/",
                "javascript:alert(1)",
                "/\\elsewhere.example",
                "/half%2",
                "/a%0d%0aSet-Cookie:x y"
            })
    void choosingAThemeNeverLeadsAway(String back) {
        Map<String, String> form = visitor.form("/", "/theme");
        HttpResponse<String> response =
                visitor.post("/theme", Map.of("_csrf", form.get("_csrf"), "theme", "dim", "back", back));
        assertThat(response.headers().firstValue("Location")).contains("/");
    }

    @Test
    void choosingAThemeKeepsWhatWasAskedFor() {
        Map<String, String> form = visitor.form("/", "/theme");
        String back = "/signal?shape=SINE&hertz=1000&note=a+b%2C";
        HttpResponse<String> response =
                visitor.post("/theme", Map.of("_csrf", form.get("_csrf"), "theme", "dim", "back", back));
        assertThat(response.headers().firstValue("Location")).contains(back);
    }

    @Test
    void aThemeThatIsNoneIsForgotten() {
        Map<String, String> form = visitor.form("/", "/theme");
        visitor.post("/theme", Map.of("_csrf", form.get("_csrf"), "theme", "\"><script>", "back", "/tubes"));
        assertThat(visitor.get("/tubes").body())
                .doesNotContain("data-theme=\"\\\"><script>")
                .contains("Tube types");
    }

    @Test
    void farTooManyRowsAreRefusedInOurLook() {
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Too many");
        form.put("sockets[5000].label", "V5000");
        HttpResponse<String> response = visitor.post("/amps", form);
        assertThat(response.statusCode()).isBetween(400, 499);
        form.remove("sockets[5000].label");
        for (int i = 0; i < 20; i++) {
            form.put("sockets[" + i + "].label", "V" + i);
            form.put("pots[" + i + "].name", "POT" + i);
        }
        assertThat(visitor.post("/amps", form).body())
                .contains("1 to 8 power sockets")
                .contains("At most 12 pots");
    }

    @Test
    void theOldestReadingsOfALongLogAreReached() {
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Long log");
        String amp = Visitor.location(visitor.post("/amps", form));
        String run = Visitor.location(visitor.post(amp + "/runs", Map.of("_csrf", form.get("_csrf"))));
        for (int i = 0; i < 40; i++) {
            visitor.post(run + "/readings", Map.of("_csrf", form.get("_csrf"), "line", "note number " + i));
        }
        assertThat(visitor.get(run).body())
                .contains("number 39")
                .doesNotContain("number 3<")
                .contains("The whole log");
        assertThat(visitor.get(run + "/log").body()).contains("number 3<").contains("number 39");
        assertThat(visitor.get(run + "/log?before=x").statusCode()).isEqualTo(400);
    }
}
