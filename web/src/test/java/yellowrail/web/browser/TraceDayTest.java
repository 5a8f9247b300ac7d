package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.Map;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** A tube's curves, point by point: from the list on a made-up tube, by touching the chart on a phone. */
class TraceDayTest extends BrowserTest {

    private static int made;

    private String tube;

    @BeforeEach
    void aTube() {
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/drawer/new", "/drawer");
        form.put("type", "EL34");
        form.put("label", "day " + ++made);
        tube = Visitor.location(visitor.post("/drawer", form));
    }

    @Test
    void aMadeUpTubeIsTracedFromItsList() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(tube + "/curves");
        page.locator("text=made-up tube").click();
        assertThat(page.locator("h1")).containsText("practice");
        int points = page.locator(".trace .step").count();
        Assertions.assertThat(points).isGreaterThan(13);
        for (int read = 1; read <= 6; read++) {
            page.locator("#practice-meter").click();
            assertThat(page.locator(".trace .point")).hasCount(read);
        }
        assertThat(page.locator(".trace .tube-path").first()).isAttached();
        assertThat(page.locator(".trace")).containsText("points traced of the very tube: 6");
        page.locator("#points ~ .table-responsive button").first().click();
        assertThat(page.locator(".trace .point.left")).hasCount(1);
        assertThat(page.locator(".trace")).containsText("points traced of the very tube: 5");
    }

    @Test
    void onAPhoneTheTouchedPointIsTakenAndWhatIsFarOffIsToldAtOnce() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate(tube + "/curves");
        Locator last = page.locator(".trace .step").last();
        last.locator(".reach").tap();
        assertThat(page.locator(".trace .step.now")).hasCount(1);
        assertThat(page).hasURL(Pattern.compile(".*step=\\d+.*"));
        String grid = page.locator("#grid_volts").inputValue();
        page.locator("#plate_milliamps").fill("9");
        page.locator("#point button.btn-primary").tap();
        assertThat(page.locator("#point .fault")).containsText("The last point is 9.0 mA where a typical one draws");
        assertThat(page.locator("#points ~ .table-responsive")).containsText(grid);
        page.locator("#grid_volts").fill("14");
        page.locator("#plate_milliamps").fill("20");
        page.locator("#point button.btn-primary").tap();
        assertThat(page.locator("#grid_volts-fault")).isVisible();
        assertThat(page.locator("#grid_volts")).hasValue("14");
        assertThat(page.locator("#plate_milliamps")).hasValue("20");
    }
}
