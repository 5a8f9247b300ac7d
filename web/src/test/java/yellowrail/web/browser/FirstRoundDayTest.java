package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;

/** The first round, done by somebody who does what the hint says and goes where it points. */
class FirstRoundDayTest extends BrowserTest {

    private static final Pattern READS = Pattern.compile("reads ([0-9.]+) mV");
    private static final int MOST = 120;
    private static final double FAR = 8;

    /** What is done with what the hint points at. */
    private interface Hand {
        void press(Page page, Locator at);

        void turn(Page page, Locator knob, double missing);

        void say(Page page, String line);
    }

    private void goRound(Page page, Hand hand) {
        Locator hint = page.locator("#guide b");
        for (int step = 0; step < MOST && page.url().contains("/runs/"); step++) {
            assertThat(hint).isVisible();
            assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                    .hasCount(0);
            String says = hint.textContent();
            String points = page.locator("#guide").getAttribute("data-points");
            assertThat(page.locator(points + ".pointed").first()).isVisible();
            Matcher reads = READS.matcher(says);
            if (reads.find()) {
                double shown = Double.parseDouble(
                        page.locator("#display").getAttribute("data-reading").split(" ")[0]);
                String before = page.locator(".knob b").textContent();
                hand.turn(page, page.locator(points), Double.parseDouble(reads.group(1)) - shown);
                assertThat(page.locator(".knob b")).not().hasText(before);
                assertThat(page.locator("#display")).not().hasAttribute("data-reading", shown + " mV");
            } else if (points.equals("#line")) {
                hand.say(page, "note clean, no hum");
                assertThat(hint).not().hasText(says);
            } else {
                hand.press(page, page.locator(points).first());
                if (points.equals("#close button")) {
                    page.waitForURL("**/amps/*");
                } else {
                    assertThat(hint).not().hasText(says);
                }
            }
        }
        assertThat(page.url()).as("closed, and led to the amp").contains("/amps/");
        page.navigate("/practice");
        assertThat(page.locator("#content")).containsText("The first round is done.");
        assertThat(page.locator("#content .btn-primary")).containsText("Next: Exercise");
    }

    /** h goes to what the hint points at, Enter presses it. */
    @Test
    void byKeyboardAlone() {
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        page.navigate("/practice?seed=5");
        keys.tabTo("First round: a healthy amp, with a hint at each step").press("Enter");
        page.waitForURL("**/runs/*");
        goRound(page, new Hand() {
            @Override
            public void press(Page at, Locator what) {
                keys.press("Escape").press("h").press("Enter");
            }

            @Override
            public void turn(Page at, Locator knob, double missing) {
                keys.press("Escape").press("h");
                assertThat(knob).isFocused();
                keys.press(missing > FAR ? "PageUp" : missing > 0 ? "ArrowRight" : "ArrowLeft");
            }

            @Override
            public void say(Page at, String line) {
                keys.press("Escape").press("h").type(line).press("Enter").press("Escape");
            }
        });
    }

    @Test
    void byTouchOnThePhone() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate("/practice?seed=8");
        page.getByText("First round").first().tap();
        page.waitForURL("**/runs/*");
        goRound(page, new Hand() {
            @Override
            public void press(Page at, Locator what) {
                what.tap();
            }

            @Override
            public void turn(Page at, Locator knob, double missing) {
                double now = Double.parseDouble(knob.inputValue());
                double to = now + (missing > FAR ? FAR : Math.signum(missing));
                Locator.TapOptions there = new Locator.TapOptions();
                double margin = 8;
                knob.tap(there.setPosition(margin + to / 100 * (knob.boundingBox().width - 2 * margin), 8));
            }

            @Override
            public void say(Page at, String line) {
                at.locator("#show-me").tap();
                assertThat(at.locator("#line")).isFocused();
                send(at, line);
            }
        });
    }

    @Test
    void whoWantsNoHintsHasNoneUntilTheRoundIsBegunAgain() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/practice");
        page.getByText("First round").first().click();
        page.locator("[data-hints=off]").click();
        assertThat(page.locator("#guide")).hasCount(0);
        assertThat(page.locator(".pointed")).hasCount(0);
        page.reload();
        assertThat(page.locator("#display")).isVisible();
        assertThat(page.locator("#guide")).hasCount(0);
        page.navigate("/practice");
        page.getByText("First round").first().click();
        assertThat(page.locator("#guide b")).isVisible();
    }

    @Test
    void whoLooksElsewhereIsToldWhoseTurnItIs() {
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        page.navigate("/practice");
        page.getByText("First round").first().click();
        assertThat(page.locator("#guide b")).isVisible();
        keys.press("6");
        assertThat(page.locator("#guide b")).containsText("Now it is the turn of plan");
        keys.press("h").press("Enter");
        assertThat(page.locator("#guide b")).containsText("This is the sheet of the amp");
    }

    /** The point of an exercise is to find out. */
    @Test
    void anExerciseHasNoHints() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/practice");
        page.waitForResponse(
                "**/practice/hint**", () -> page.getByText("Exercise 4").first().click());
        assertThat(page.locator("#display")).isVisible();
        assertThat(page.locator("#guide b")).hasCount(0);
    }
}
