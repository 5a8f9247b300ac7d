package yellowrail.web.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Debian's Chromium without a window, driven as a person would, noting every error on the console. The browser itself
 * is started once for all that ask for the same flags, and ends with this Java; what is opened here ends with this.
 */
public final class Chromium implements AutoCloseable {

    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-quic",
            "--no-first-run",
            // Letters as wide as they are on a phone or a screen of many dots.
            "--font-render-hinting=none");

    private static final Map<List<String>, Browser> BROWSERS = new HashMap<>();
    private static Playwright playwright;

    private final Browser browser;
    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> errors = new ArrayList<>();

    /** @param more flags than every test takes */
    public Chromium(String... more) {
        browser = BROWSERS.computeIfAbsent(
                Stream.concat(FLAGS.stream(), Stream.of(more)).toList(), Chromium::launched);
    }

    private static Browser launched(List<String> flags) {
        if (playwright == null) {
            playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        }
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(flags));
    }

    public Page laptop(String url) {
        return page(url, 1280, 800, ColorScheme.LIGHT);
    }

    public Page phone(String url) {
        return page(url, 390, 844, ColorScheme.LIGHT);
    }

    public Page page(String url, int width, int height, ColorScheme scheme) {
        BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                .setBaseURL(url)
                .setViewportSize(width, height)
                .setColorScheme(scheme)
                // Our own certificate, which a person was shown how to compare.
                .setIgnoreHTTPSErrors(url.startsWith("https:"))
                .setHasTouch(width < 700));
        contexts.add(context);
        context.setDefaultTimeout(15_000);
        Page page = context.newPage();
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")) {
                errors.add(message.text());
            }
        });
        page.onPageError(errors::add);
        return page;
    }

    public List<String> errors() {
        return errors;
    }

    @Override
    public void close() {
        contexts.forEach(BrowserContext::close);
    }
}
