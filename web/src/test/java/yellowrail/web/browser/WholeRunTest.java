package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/**
 * A whole run on a practice amp, from plan to close, with the application killed and started again in the middle of it.
 */
class WholeRunTest {

    private static final int ROUNDS = 6;
    private static final int MOST_STEPS = 90;

    private final int port = RunningApplication.freePort();
    private Path data;
    private OwnProcess application;

    @BeforeEach
    void start() throws Exception {
        data = RunningApplication.temporary("yellow-rail-whole-run");
        application = OwnProcess.start(data, port);
    }

    @AfterEach
    void leaveNothing() throws Exception {
        application.kill();
        Path pid = data.resolve("postgres/postmaster.pid");
        if (Files.exists(pid)) {
            Optional<ProcessHandle> database = ProcessHandle.of(
                    Long.parseLong(Files.readAllLines(pid).get(0).strip()));
            database.ifPresent(handle -> {
                handle.destroyForcibly();
                handle.onExit().join();
            });
        }
        RunningApplication.delete(data);
    }

    private void restart(Page page) throws Exception {
        application.kill();
        application = OwnProcess.start(data, port);
        page.reload();
    }

    private static double shown(Page page) {
        return Double.parseDouble(
                page.locator("#display").getAttribute("data-reading").split(" ")[0]);
    }

    private static double toTurnTo(Page page) {
        return Double.parseDouble(
                page.locator(".move-sentence").getAttribute("data-watch").split(" ")[0]);
    }

    private static boolean isSet(Page page) {
        return page.locator(".move-sentence").textContent().startsWith("Set:");
    }

    private static void standsAt(Page page, String station) {
        assertThat(page.locator(".rail li.here a span")).hasText(station);
        assertThat(page.locator("#display")).isVisible();
    }

    private static void leadIsOn(Page page, String where) {
        assertThat(page.locator("#probe-" + where)).hasAttribute("aria-pressed", "true");
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
    }

    @Test
    void byKeyboardAloneAndPassed() throws Exception {
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(application.url());
            Keys keys = new Keys(page);
            page.navigate("/practice?seed=5");
            keys.tabTo("Exercise 3").press("Enter");
            page.waitForURL("**/runs/*");
            standsAt(page, "plan");
            keys.press("Enter");
            standsAt(page, "make safe");
            keys.press("5");
            standsAt(page, "measure");
            assertThat(page.locator(".waits")).containsText("A load on the output");
            keys.press("2");
            standsAt(page, "make safe");
            for (int ticked = 1; ticked <= 6; ticked++) {
                keys.press("t");
                assertThat(page.locator(".ticks [aria-checked=true]")).hasCount(ticked);
            }
            keys.press("d");
            standsAt(page, "tubes");
            keys.press("k").type("no new ones").press("Enter");
            standsAt(page, "power up");
            assertThat(page.locator(".rail li.skipped")).hasCount(1);
            leaveTheLine(keys, page);
            keys.press("p");
            assertThat(page.locator("#bench-power")).containsText("Switch off");
            keys.press("w");
            assertThat(page.locator("#display")).containsText("bench time 1:");
            assertThat(page.locator(".log .typed")).containsText(new String[] {"on"});
            place(keys, page, "mains");
            assertThat(page.locator(".checks")).containsText("the sheet says 120.0 V");
            keys.press("d");
            standsAt(page, "measure");
            leaveTheLine(keys, page);
            place(keys, page, "V1");
            restart(page);
            standsAt(page, "measure");
            assertThat(page.locator(".log .typed").first()).containsText("V1 ");
            leaveTheLine(keys, page);
            measureAll(keys, page);
            keys.press("d");
            standsAt(page, "set");
            leaveTheLine(keys, page);
            for (int round = 0; round < ROUNDS && !isSet(page); round++) {
                place(keys, page, "V1");
                turn(keys, page);
                measureAll(keys, page);
            }
            assertThat(page.locator(".move-sentence")).containsText("Set: every tube is in its window");
            keys.press("d");
            standsAt(page, "soak");
            leaveTheLine(keys, page).press("w");
            measureAll(keys, page);
            keys.press("d");
            standsAt(page, "prove");
            assertThat(page.locator("#line")).isFocused();
            keys.press("/").type("note clean at a watt").press("Enter");
            assertThat(page.locator(".log .typed").first()).hasText("note clean at a watt");
            assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                    .hasCount(0);
            leaveTheLine(keys, page).press("d");
            standsAt(page, "close");
            keys.press("l").type("the mains is low").press("Tab").press("Enter");
            assertThat(page.locator(".marking h2")).hasText("Passed");
            assertThat(page.locator(".marking")).containsText("right: the mains is low");
            keys.press("Escape").press("x");
            page.waitForURL("**/amps/*");
            assertThat(page.locator(".history")).containsText("closed");
            chromium.errors().removeIf(error -> error.startsWith("htmx:") || error.contains("net::ERR_"));
            assertEquals(List.of(), chromium.errors(), "but for the time it was dead the console stays empty");
        }
    }

    /** Out of the entry line, in which the cursor stands at the stations where readings are taken. */
    private static Keys leaveTheLine(Keys keys, Page page) {
        assertThat(page.locator("#line")).isFocused();
        return keys.press("Escape");
    }

    private static void place(Keys keys, Page page, String where) {
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
        keys.press("Escape").press("f");
        assertThat(page.locator("#probe-V1")).isFocused();
        while (!(boolean) page.evaluate("document.activeElement.id === 'probe-" + where + "'")) {
            keys.press("Tab");
        }
        keys.press("Enter");
        leadIsOn(page, where);
    }

    private static void measureAll(Keys keys, Page page) {
        for (String where : new String[] {"mains", "V1", "V2", "plate", "bias"}) {
            place(keys, page, where);
        }
    }

    /** Turns by one hundredth at a time, watching the meter; not at all if the newest reading says that it is set. */
    private static void turn(Keys keys, Page page) {
        if (isSet(page)) {
            return;
        }
        double target = toTurnTo(page);
        String way = shown(page) < target ? "." : ",";
        for (int step = 0;
                step < MOST_STEPS && (way.equals(".") ? shown(page) < target : shown(page) > target);
                step++) {
            String before = page.locator(".knob b").textContent();
            keys.press(way);
            assertThat(page.locator(".knob b")).not().hasText(before);
            assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                    .hasCount(0);
        }
    }

    @Test
    void byTouchOnThePhoneAndNotPassed() throws Exception {
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.phone(application.url());
            page.navigate("/");
            assertThat(page.locator("#put-mine")).isVisible();
            assertThat(page.locator("#try-practice")).isVisible();
            page.navigate("/practice?seed=22");
            page.getByText("Exercise 7").tap();
            page.waitForURL("**/runs/*");
            tapDone(page, "plan", "make safe");
            Locator open = page.locator(".ticks li:not(.fact) [aria-checked=false]");
            for (int left = 6; left > 0; left--) {
                assertThat(open).hasCount(left);
                open.first().tap();
            }
            assertThat(open).hasCount(0);
            tapDone(page, "make safe", "tubes");
            tapDone(page, "tubes", "power up");
            page.locator("#bench-power").tap();
            assertThat(page.locator("#bench-power")).containsText("Switch off");
            page.locator("#wait-minute").tap();
            assertThat(page.locator("#display")).containsText("bench time 1:");
            tapDone(page, "power up", "measure");
            for (String where : new String[] {"V1", "V2", "plate"}) {
                page.locator("#probe-" + where).tap();
                leadIsOn(page, where);
            }
            restart(page);
            standsAt(page, "measure");
            assertThat(page.locator("article.tube").first()).containsText("cold");
            tapDone(page, "measure", "set");
            assertThat(page.locator(".move-sentence")).containsText("Turn RANGE clockwise until");
            page.locator("#probe-V1").tap();
            leadIsOn(page, "V1");
            double before = shown(page);
            Locator knob = page.locator(".knob input[type=range]");
            BoundingBox box = knob.boundingBox();
            knob.tap(new Locator.TapOptions().setPosition(0.7 * box.width, box.height / 2));
            assertThat(page.locator(".knob b")).containsText("of 100");
            assertThat(page.locator(".log .typed").nth(1)).hasText("turn RANGE clockwise");
            assertEquals(before, shown(page), 0.03 * before, "its wiper is open");
            tapDone(page, "set", "soak");
            tapDone(page, "soak", "prove");
            tapDone(page, "prove", "close");
            page.locator(".say-it summary").tap();
            page.locator("#said").selectOption("CREEPING_TUBE");
            page.locator("#mark").tap();
            assertThat(page.locator(".marking h2")).hasText("Not passed");
            assertThat(page.locator(".marking")).containsText("in truth the bias pot has lost its wiper");
            assertEquals(
                    390,
                    page.evaluate("Math.max(390, document.documentElement.scrollWidth)"),
                    "nothing is wider than the phone");
            page.locator("#close button").tap();
            page.waitForURL("**/amps/*");
            assertThat(page.locator(".history")).containsText("closed");
        }
    }

    private static void tapDone(Page page, String from, String to) {
        standsAt(page, from);
        page.locator("#done").tap();
        standsAt(page, to);
    }
}
