package yellowrail.web.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;

/** Takes the pictures of docs/screenshots from a running demo: {@code java ... Screenshots http://127.0.0.1:8080 docs/screenshots}. */
public final class Screenshots {

    private Screenshots() {
    }

    public static void main(String[] args) {
        String url = args[0];
        Path folder = Path.of(args[1]);
        try (Chromium chromium = new Chromium()) {
            shot(chromium, url, "/", folder, "bench");
            shot(chromium, url, "/amps/3", folder, "amp-sheet");
            shot(chromium, url, "/amps/new", folder, "amp-form");
            shot(chromium, url, "/runs/1", folder, "run");
            shot(chromium, url, "/runs/1/compare", folder, "compare");
            shot(chromium, url, "/tubes", folder, "tube-types");
            Page arithmetic = chromium.laptop(url);
            arithmetic.navigate("/runs/4");
            arithmetic.click(".open-verdict");
            arithmetic.waitForSelector("dialog[open] table");
            save(arithmetic, folder, "arithmetic");
        }
    }

    private static void shot(Chromium chromium, String url, String path, Path folder, String name) {
        for (ColorScheme scheme : new ColorScheme[]{ColorScheme.LIGHT, ColorScheme.DARK}) {
            String theme = scheme == ColorScheme.LIGHT ? "" : "-dim";
            take(chromium.page(url, 1280, 800, scheme), path, folder, name + theme);
            take(chromium.page(url, 390, 844, scheme), path, folder, name + "-phone" + theme);
        }
    }

    private static void take(Page page, String path, Path folder, String name) {
        page.navigate(path);
        page.waitForLoadState();
        page.waitForTimeout(300);
        save(page, folder, name);
        page.context().close();
    }

    private static void save(Page page, Path folder, String name) {
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
