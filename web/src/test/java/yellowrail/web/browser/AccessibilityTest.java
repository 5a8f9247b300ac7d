package yellowrail.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;
import yellowrail.web.RunningApplication;

/**
 * Every main view of the made-up workshop, by day and in the dim shop, wide and on a phone: nothing that axe finds
 * wrong, and nothing wider than the screen.
 */
class AccessibilityTest extends BrowserTest {

    private static final List<String> VIEWS = List.of(
            "/",
            "/amps/new",
            "/amps/3",
            "/amps/1/placing",
            "/amps/1/swap?wants=KT88",
            "/amps/1/load-line",
            "/amps/1/chart",
            "/amps/1/capacitors",
            "/amps/1/heaters",
            "/amps/1/bias?wiper=55",
            "/amps/1/cathode",
            "/amps/1/parts",
            "/amps/1/iron",
            "/amps/import",
            "/drawer",
            "/drawer/5",
            "/drawer/5/curves",
            "/drawer/match",
            "/practice",
            "/tubes",
            "/glossary",
            "/keeping",
            "/devices",
            "/licences",
            "/runs/import",
            "/runs/1/discharge",
            "/runs/2/walk?node=at+V1b+plate",
            "/runs/8/record",
            "/runs/1/proof",
            "/runs/1?at=plan",
            "/runs/1?at=safe",
            "/runs/1?at=measure",
            "/runs/1?at=set",
            "/runs/8?at=soak",
            "/runs/1?at=prove",
            "/runs/8?at=close");

    private static final String FINDS = """
            async rules => {
              const found = await axe.run(document, { resultTypes: ["violations"], ...rules });
              return found.violations.flatMap(each => each.nodes.map(node =>
                `${each.id} at ${node.target.join(" ")}: ${node.html.slice(0, 160)}`));
            }""";

    /** The same page in another look has other colours, and nothing else. */
    private static final Map<ColorScheme, Map<String, List<String>>> RULES = new EnumMap<>(
            Map.of(ColorScheme.LIGHT, Map.of(), ColorScheme.DARK, Map.of("runOnly", List.of("cat.color"))));

    private static final int LAPTOP = 1280;
    private static final int PHONE = 390;
    private static final int NARROWEST = 320;
    private static final int TALL = 800;

    @Test
    void everyMainViewIsForEverybody() throws Exception {
        String axe = axe();
        Path data = RunningApplication.temporary("yellow-rail-axe");
        OwnProcess workshop = OwnProcess.start(data, RunningApplication.freePort(), "--demo");
        List<String> wrong = new ArrayList<>();
        try {
            for (int width : new int[] {LAPTOP, PHONE}) {
                Page page = chromium.page(workshop.url(), width, TALL, ColorScheme.LIGHT);
                VIEWS.forEach(view -> look(page, view, axe, wrong));
                page.context().close();
            }
        } finally {
            workshop.stop();
            RunningApplication.delete(data);
        }
        System.out.printf("%d views, in two sizes and two looks: %d violations%n", VIEWS.size(), wrong.size());
        assertThat(wrong).isEmpty();
    }

    /** One view in both looks; then narrower: half as wide, as it is at 200 %, or on the narrowest phone there is. */
    private static void look(Page page, String view, String axe, List<String> wrong) {
        int width = page.viewportSize().width;
        page.navigate(view);
        page.waitForFunction("() => !document.querySelector('.htmx-request')");
        page.evaluate(axe);
        RULES.forEach((scheme, rules) -> {
            page.emulateMedia(still().setColorScheme(scheme));
            ((List<?>) page.evaluate(FINDS, rules))
                    .forEach(each -> wrong.add("%s, %d px, %s: %s".formatted(view, width, scheme, each)));
        });
        for (int wide : new int[] {width, width == PHONE ? NARROWEST : LAPTOP / 2}) {
            page.setViewportSize(wide, TALL);
            int over = (int) page.evaluate("document.documentElement.scrollWidth - innerWidth");
            if (over > 0) {
                wrong.add("%s, %d px: %d px wider than the screen".formatted(view, wide, over));
            }
        }
        page.setViewportSize(width, TALL);
        page.emulateMedia(still().setColorScheme(ColorScheme.LIGHT));
    }

    /** Colours change at once, not by and by. */
    private static Page.EmulateMediaOptions still() {
        return new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE);
    }

    private static String axe() throws IOException {
        return new ClassPathResource("axe.min.js").getContentAsString(StandardCharsets.UTF_8);
    }
}
