package yellowrail.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/** Every page that can be reached from the bench of the made-up workshop, and every button on it. */
class EveryLinkTest extends BrowserTest {

    /** One page of each kind is enough, but every station of a run is one. */
    private static final Pattern VARYING = Pattern.compile("(?<=/)\\d+|(?<=^/tubes/)[^/?]+|(?<=[?&])(?!at=)\\w+=[^&]*");

    private static final int MOST_PAGES = 150;

    /** What is sent where, by which words: pressed once, on the first page that has it. */
    private static final String BUTTONS = """
            () => [...document.querySelectorAll('button')].filter(b => b.checkVisibility()).map(b => [
              b.type, b.name, b.formAction && new URL(b.formAction).pathname, b.form?.getAttribute('action'),
              b.getAttribute('hx-post') ?? b.getAttribute('hx-get'), b.id, b.textContent.trim()].join(' '))""";

    private final List<String> wrong = new ArrayList<>();
    private final Set<String> pressed = new HashSet<>();

    @Test
    void leadsSomewhereAndAnswers() throws Exception {
        Path data = RunningApplication.temporary("yellow-rail-links");
        OwnProcess workshop = OwnProcess.start(data, RunningApplication.freePort(), "--demo");
        try {
            walk(chromium.laptop(workshop.url()));
        } finally {
            workshop.stop();
            RunningApplication.delete(data);
        }
    }

    private void walk(Page page) {
        page.onResponse(response -> note(page, response));
        page.onDialog(dialog -> dialog.dismiss());
        Map<String, String> seen = new LinkedHashMap<>();
        Deque<String> next = new ArrayDeque<>(List.of("/"));
        int buttons = 0;
        while (!next.isEmpty() && seen.size() < MOST_PAGES) {
            String path = next.poll();
            if (seen.putIfAbsent(kind(path), path) != null) {
                continue;
            }
            if (isFile(page, path)) {
                continue;
            }
            page.navigate(path);
            addresses(page).forEach(next::add);
            List<String> there = buttons(page);
            for (int i = 0; i < there.size(); i++) {
                if (pressed.add(kind(there.get(i)).replaceAll("\\d+", "n"))) {
                    buttons += press(page, path, i) ? 1 : 0;
                }
            }
        }
        page.context().close();
        System.out.printf("%d pages, %d buttons%n", seen.size(), buttons);
        assertThat(wrong).isEmpty();
        assertThat(seen.size()).isGreaterThan(20);
        assertThat(buttons).isGreaterThan(60);
    }

    /** Whether it is a file to take away; it has to be there all the same. */
    private boolean isFile(Page page, String path) {
        APIResponse response = page.request().get(path);
        if (response.status() >= 400) {
            wrong.add("%d %s".formatted(response.status(), path));
        }
        return !response.headers().getOrDefault("content-type", "").startsWith("text/html");
    }

    /** Every address on a page that stays in the application. */
    private List<String> addresses(Page page) {
        List<?> found = (List<?>)
                page.evaluate("() => [...document.querySelectorAll('[href],[action],[formaction],[hx-get],[hx-post],"
                        + "[src]')].flatMap(e => "
                        + "['href','action','formaction','hx-get','hx-post','src'].map(a => "
                        + "e.getAttribute(a)).filter(v => v))");
        found.stream()
                .map(Object::toString)
                .filter(each -> each.contains("${") || each.contains("%7B"))
                .forEach(each -> wrong.add("%s on %s".formatted(each, page.url())));
        List<?> links = (List<?>)
                page.evaluate("() => [...document.querySelectorAll('a[href]')].map(e => e.getAttribute('href'))");
        return links.stream()
                .map(Object::toString)
                .filter(each -> each.startsWith("/") && !each.startsWith("/api"))
                .map(each -> each.replaceAll("#.*", ""))
                .toList();
    }

    private static List<String> buttons(Page page) {
        return ((List<?>) page.evaluate(BUTTONS)).stream().map(Object::toString).toList();
    }

    /**
     * Presses one button of a fresh copy of the page with its fields as they stand; where it leads was noted on the
     * way.
     */
    private boolean press(Page page, String path, int button) {
        page.navigate(path);
        List<String> there = buttons(page);
        if (button >= there.size()) {
            return false;
        }
        page.evaluate(
                "i => { const b = [...document.querySelectorAll('button')].filter(b => b.checkVisibility())[i]; "
                        + "b.click(); }",
                button);
        page.waitForLoadState();
        page.waitForFunction("() => !document.querySelector('.htmx-request')");
        return true;
    }

    private void note(Page page, Response response) {
        int status = response.status();
        if (status == 404 || status >= 500) {
            wrong.add("%d %s from %s".formatted(status, response.url(), page.url()));
        }
    }

    private static String kind(String path) {
        return VARYING.matcher(path).replaceAll("n");
    }
}
