package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import yellowrail.web.RunningApplication;

/** The drawer and the swap check as a builder uses them. */
class DrawerDayTest extends BrowserTest {

    private static final String SHELF = "type,label,plate_volts,grid_volts,current,milliamps\n"
            + String.join(
                    "\n",
                    List.of(
                            "5881,Q1,250,-14,plate,34.1",
                            "5881,Q2,250,-14,plate,36.9",
                            "5881,Q3,250,-14,plate,34.6",
                            "5881,Q4,250,-14,plate,37.2",
                            "5881,Q5,250,-14,plate,55.0",
                            "5881,Q6,250,-14,plate,oops"));

    private static void newAmp(Page page, String name, String type, String tubes) {
        page.navigate("/amps/new");
        page.getByLabel("Name").first().fill(name);
        typed(page.getByLabel("Tube type"), type);
        assertThat(page.locator("#save")).isEnabled();
        page.getByLabel("Power tubes").selectOption(tubes);
        assertThat(page.locator("[name='sockets[" + (Integer.parseInt(tubes) - 1) + "].label']"))
                .hasCount(1);
        assertThat(page.locator("#save")).isEnabled();
        page.click("text=Save the sheet");
        page.waitForSelector("text=To the run");
    }

    /** A quad of two unlike pairs, from the file to the run's socket plan: one of each on either side. */
    @Test
    void matchAQuadPlaceItLogItAndSeeItOnTheRun() {
        Page page = chromium.laptop(RunningApplication.url());
        newAmp(page, "Marsh fern", "5881", "4");
        page.navigate("/drawer");
        page.locator("#file")
                .setInputFiles(new FilePayload("shelf.csv", "text/csv", SHELF.getBytes(StandardCharsets.UTF_8)));
        page.click("text=Read it");
        assertThat(page.locator("table.figures")).containsText("Not usable: \u201coops\u201d");
        page.click("text=Keep the 5 good rows");
        assertThat(page.locator(".say")).containsText("5 rows are in the drawer.");
        page.navigate("/drawer?type=5881");
        for (String label : List.of("Q1", "Q2", "Q3", "Q4")) {
            page.getByLabel("Take 5881 " + label).check();
        }
        page.getByLabel("Groups of").selectOption("4");
        page.locator("#amp").selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Marsh fern"));
        page.click("#match");
        assertThat(page.locator(".groups tr")).hasCount(2);
        assertThat(page.locator("#content")).containsText("3.10 mA");
        page.click("text=Place them");
        assertThat(page.locator("#content")).containsText("apart by 0.20 mA");
        page.click("#placed");
        page.waitForURL("**/runs/*?at=tubes");
        assertThat(page.locator(".log")).containsText("tube V1 5881");
        page.navigate(page.url().replace("at=tubes", "at=make-safe"));
        page.locator("[data-item=closed]").click();
        assertThat(page.locator("[data-item=closed]")).hasAttribute("aria-checked", "true");
        page.locator(".rail a[data-key='5']").click();
        Locator labels = page.locator("article.tube .occupant");
        assertThat(labels).hasCount(4);
        List<String> seated = labels.allTextContents();
        assertThat(seated).containsExactlyInAnyOrder("Q1", "Q2", "Q3", "Q4");
        List<String> sides = page.locator("article.tube svg.side")
                                .evaluateAll("all => all.map(one => one.getAttribute('aria-label'))")
                        instanceof List<?> list
                ? list.stream().map(String::valueOf).toList()
                : List.of();
        String partner = seated.get(IntStream.range(0, 4)
                .filter(i -> !seated.get(i).equals("Q1") && sides.get(i).equals(sides.get(seated.indexOf("Q1"))))
                .findFirst()
                .orElseThrow());
        assertThat(partner).as("34.1 sits beside 37.2 mA").isEqualTo("Q4");
        page.navigate("/drawer?type=5881");
        assertThat(page.locator("table.figures")).containsText("of Marsh fern");
        page.context().close();
    }

    @Test
    void aSwapIsCheckedAndItsFiguresOpen() {
        Page page = chromium.phone(RunningApplication.url());
        newAmp(page, "Bog asphodel", "6L6GC", "2");
        page.click("text=Swap check");
        assertThat(page.locator("table.figures tbody tr, table.figures tr").first())
                .isVisible();
        page.locator("#wants").fill("EL34");
        page.click("button:has-text('Check') >> nth=0");
        assertThat(page.locator(".swap-say")).containsText("EL34 for 6L6GC");
        Locator pins = page.locator(".answer").filter(new Locator.FilterOptions().setHasText("base and pin-out"));
        assertThat(pins).containsText("tie pin 1 to the cathode, pin 8");
        pins.locator("summary").click();
        assertThat(pins).containsText("g3=1 h=2 a=3");
        assertThat(page.locator(".answer summary")).not().hasCount(0);
        Object overflow = page.evaluate("document.documentElement.scrollWidth > innerWidth");
        assertThat(overflow).isEqualTo(false);
        page.navigate(page.url().replace("wants=EL34", "wants=EL340"));
        assertThat(page.locator("[role=alert]")).containsText("is not in the catalogue");
        page.context().close();
    }

    /** Seen while the answer is awaited: the bar, and how many rows are in. */
    @Test
    void aLongFileShowsHowFarItIs() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/drawer");
        String file = "type,label,plate_volts,milliamps\n"
                + IntStream.range(0, 20_000)
                        .mapToObj(i -> "EL95,L%d,250,%.1f".formatted(i, 20 + i % 90 / 10.0))
                        .collect(Collectors.joining("\n"));
        page.locator("#file")
                .setInputFiles(new FilePayload("long.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
        page.evaluate("""
                () => {
                  new MutationObserver(() => sessionStorage.seen = document.querySelector("#importing").textContent
                    + document.querySelectorAll("#importing progress[value]").length)
                    .observe(document.querySelector("#importing"), {subtree: true, childList: true});
                }""");
        page.click("text=Read it");
        assertThat(page.locator(".say")).containsText("20,000 rows are in the drawer.");
        assertThat(String.valueOf(page.evaluate("() => sessionStorage.seen"))).matches("(?s).*,000 of 20,000 rows1");
        // The other tests want a drawer of a common size.
        JdbcClient database = RunningApplication.bean(JdbcClient.class);
        database.sql("DELETE FROM tube_test USING drawer_tube t WHERE t.id = tube_id AND t.type = 'EL95'")
                .update();
        database.sql("DELETE FROM drawer_tube WHERE type = 'EL95'").update();
    }
}
