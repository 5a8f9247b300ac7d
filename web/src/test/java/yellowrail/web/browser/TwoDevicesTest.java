package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.PracticeRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** A laptop and a phone on one run: each sees what the other enters, and neither loses what is being typed. */
class TwoDevicesTest extends BrowserTest {

    private static final LocatorAssertions.ContainsTextOptions WITHIN_A_SECOND =
            new LocatorAssertions.ContainsTextOptions().setTimeout(1000);

    private static final LocatorAssertions.HasTextOptions WHEN_ALL_IS_THERE =
            new LocatorAssertions.HasTextOptions().setTimeout(20_000);

    private Page laptop;
    private Page phone;

    @BeforeEach
    void bothOnARun() {
        laptop = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(laptop);
        keys.newAmpOnTheBench("Sundew", "6L6GC");
        phone = chromium.phone(RunningApplication.url());
        phone.navigate(laptop.url());
        assertThat(phone.locator("#line")).isVisible();
        keys.enter("V1 36.4", "V1 36.4mV");
        assertThat(phone.locator(".log li").first()).containsText("V1 36.4mV", WITHIN_A_SECOND);
    }

    @Test
    void whatIsBeingTypedAndOpenedStaysAsItIs() {
        laptop.locator("#by").fill("Ann");
        laptop.locator("details.caution summary").click();
        laptop.locator("#line").fill("V2 33");
        laptop.keyboard().press("ArrowLeft");
        send(phone, "plate 452");
        assertThat(laptop.locator(".log li").first()).containsText("plate 452V", WITHIN_A_SECOND);
        assertThat(laptop.locator("#line")).hasValue("V2 33");
        assertThat(laptop.locator("#line")).isFocused();
        assertThat(laptop.locator("#by")).hasValue("Ann");
        assertThat(laptop.locator("details.caution")).hasAttribute("open", "");
        laptop.keyboard().type("9");
        // The cursor stands where it stood.
        assertThat(laptop.locator("#line")).hasValue("V2 393");
        laptop.locator("#line").fill("V2 33.9");
        laptop.keyboard().press("Enter");
        assertThat(phone.locator(".log li").first()).containsText("V2 33.9mV", WITHIN_A_SECOND);
        assertThat(phone.locator(".log li").first()).containsText("Ann");
        assertThat(phone.locator("#by")).not().hasValue("Ann");
    }

    @Test
    void aMoveThatIsNoLongerTheNextOneIsMarked() {
        send(laptop, "V2 33.9");
        assertThat(laptop.locator(".log li").first()).containsText("V2 33.9mV");
        send(laptop, "plate 452");
        assertThat(laptop.locator(".move .move-sentence")).isVisible();
        assertThat(phone.locator(".log li").first()).containsText("plate 452V", WITHIN_A_SECOND);
        String move = phone.locator(".move .move-sentence").textContent();
        laptop.locator("#by").fill("Ann");
        send(laptop, "turn RANGE clockwise; V1 44.3");
        assertThat(phone.locator(".log li").first()).containsText("V1 44.3mV");
        assertThat(phone.locator(".overtaken s")).hasText(move);
        assertThat(phone.locator(".overtaken")).containsText("Ann: ");
        assertThat(laptop.locator(".overtaken")).hasCount(0);
    }

    /** On a practice bench the log is written by the bench: that is one's own doing, and for others it is not. */
    @Test
    void whatOneDoesOneselfOvertakesNothing() {
        PracticeRun practice = PracticeRun.warm(new Visitor(RunningApplication.url()));
        practice.set("12");
        laptop.navigate(practice.path() + "?at=set");
        phone.navigate(practice.path() + "?at=set");
        assertThat(phone.locator(".move .move-sentence")).isVisible();
        String move = laptop.locator(".move .move-sentence").textContent();
        Keys keys = new Keys(laptop);
        laptop.waitForResponse("**/practice/turn", () -> keys.press("Escape").press("."));
        for (String place : List.of("V1", "V2", "plate")) {
            laptop.locator("#probe-" + place).click();
            assertThat(laptop.locator(".log .typed").first()).containsText(place);
        }
        assertThat(phone.locator(".overtaken")).isVisible();
        assertThat(laptop.locator(".move .move-sentence")).not().hasText(move);
        assertThat(laptop.locator(".overtaken")).hasCount(0);
    }

    @Test
    void whatIsRecordedOnOneDeviceIsListedOnTheOther() {
        Visitor visitor = new Visitor(RunningApplication.url());
        PracticeRun practice = PracticeRun.warm(visitor);
        laptop.navigate(practice.path() + "/proof");
        laptop.locator("#setting").fill("35 m");
        phone.navigate(practice.path() + "/taps");
        practice.post("/proof/practice", Map.of("signal", "shape=SINE&hertz=1000&level=-20&seconds=3&rate=48000"));
        assertThat(laptop.locator("#kept .recordings tr:has(form)")).hasCount(1);
        assertThat(laptop.locator("#setting")).hasValue("35 m");
        practice.post("/taps/practice", Map.of("socket", "V1"));
        assertThat(phone.locator("#kept .recordings li")).hasCount(1);
        assertThat(phone.locator("#kept .tubes")).containsText("V1");
    }

    @Test
    void aQuestionThatWasOvertakenIsMarkedAndKeepsWhatWasTyped() {
        send(phone, "V1 364");
        assertThat(phone.locator(".question")).isVisible();
        send(laptop, "note looked twice");
        assertThat(phone.locator("#overtaken")).containsText("Something else was entered meanwhile", WITHIN_A_SECOND);
        assertThat(phone.locator("#line")).hasValue("V1 364");
        send(laptop, "plate 452");
        assertThat(phone.locator(".now .sentence")).containsText("V2");
        send(laptop, "V2 60");
        assertThat(laptop.locator(".now .sentence")).containsText("V2 is hot");
        assertThat(phone.locator(".now .sentence")).containsText("V2 is hot");
        assertThat(phone.locator(".question")).isVisible();
        phone.locator(".question .choice").first().click();
        assertThat(phone.locator(".question")).hasCount(0);
        assertThat(phone.locator(".log li").nth(3)).containsText("looked twice");
    }

    @Test
    void bothAtOnceLoseNothing() {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < 15; i++) {
            send(laptop, "note laptop " + i);
            send(phone, "note phone " + i);
            all.add("note laptop " + i);
            all.add("note phone " + i);
        }
        for (Page page : List.of(laptop, phone)) {
            assertThat(page.locator(".record h2 span")).hasText(String.valueOf(all.size() + 1), WHEN_ALL_IS_THERE);
            assertThat(page.locator("#line")).hasValue("");
        }
        laptop.navigate(laptop.url().replaceAll("\\?.*", "") + "/log");
        assertThat(laptop.locator(".log .typed").allTextContents()).containsAll(all);
        assertThat(laptop.locator(".log .typed").allTextContents()).doesNotHaveDuplicates();
    }
}
