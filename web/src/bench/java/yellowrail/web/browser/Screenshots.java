package yellowrail.web.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Takes the pictures of docs/screenshots from a demo that is running: {@code ./yellow-rail pictures}. The demo's
 * address and the folder are the system properties {@code pictures.from} and {@code pictures.to}.
 */
class Screenshots {

    private final String url = System.getProperty("pictures.from", "http://127.0.0.1:8080");
    private final Path folder = Path.of(System.getProperty("pictures.to", "../docs/screenshots"));

    @Test
    void take() {
        try (Chromium chromium = new Chromium()) {
            laptop(chromium, "/", "bench", ColorScheme.LIGHT);
            laptop(chromium, "/amps/3", "amp-sheet", ColorScheme.LIGHT);
            laptop(chromium, "/runs/1?at=measure", "run", ColorScheme.LIGHT);
            phone(chromium, "/runs/5?at=set", "run-phone-dim", ColorScheme.DARK);
            laptop(chromium, "/runs/2/walk?node=at+V1b+plate", "walk", ColorScheme.LIGHT);
            laptop(chromium, "/runs/1/discharge", "discharge", ColorScheme.LIGHT);
            Page page = chromium.laptop(url);
            page.navigate("/runs/4?at=measure");
            page.click(".open-verdict");
            page.waitForSelector("dialog[open] table");
            save(page, "arithmetic");
            laptop(chromium, "/runs/1?at=set", "set", ColorScheme.LIGHT);
            laptop(chromium, "/runs/8?at=soak", "soak", ColorScheme.LIGHT);
            laptop(chromium, "/runs/8/record", "record", ColorScheme.LIGHT);
            laptop(chromium, "/amps/1/parts", "parts", ColorScheme.LIGHT);
            laptop(chromium, "/runs/1/proof", "proof", ColorScheme.LIGHT);
            laptop(chromium, "/drawer", "drawer", ColorScheme.LIGHT);
            laptop(chromium, "/drawer/5/curves", "curves-dim", ColorScheme.DARK);
            laptop(chromium, "/amps/1/swap?wants=KT88", "swap", ColorScheme.LIGHT);
            laptop(chromium, "/amps/1/load-line", "load-line", ColorScheme.LIGHT);
            laptop(chromium, "/amps/1/iron", "iron", ColorScheme.LIGHT);
            laptop(chromium, "/amps/1/bias?wiper=55", "bias", ColorScheme.LIGHT);
            practice(chromium.page(url, 1280, 800, ColorScheme.LIGHT), "practice");
        }
    }

    /** The first round, as far as the first turn. */
    private void practice(Page page, String name) {
        page.navigate("/practice?seed=5");
        page.locator("button[data-hints=on]").click();
        page.waitForURL("**/runs/*");
        for (String button : List.of(
                "#done",
                "[data-item=closed]",
                "#done",
                "#done",
                "#bench-power",
                "#wait-ten",
                "#probe-mains",
                "#done",
                "#probe-V2",
                "#probe-V1",
                "#probe-plate",
                "#done",
                "#probe-V1")) {
            page.locator(button).click();
            page.waitForTimeout(700);
        }
        page.evaluate("window.scrollTo(0, 0)");
        save(page, name);
    }

    private void laptop(Chromium chromium, String path, String name, ColorScheme scheme) {
        visit(chromium.page(url, 1280, 800, scheme), path, name);
    }

    private void phone(Chromium chromium, String path, String name, ColorScheme scheme) {
        visit(chromium.page(url, 390, 844, scheme), path, name);
    }

    private void visit(Page page, String path, String name) {
        page.navigate(path);
        page.waitForTimeout(300);
        save(page, name);
    }

    private void save(Page page, String name) {
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
        page.context().close();
    }
}
