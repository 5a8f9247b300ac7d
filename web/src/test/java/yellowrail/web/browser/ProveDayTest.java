package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.JSHandle;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/** A proof by sound files, in the browser: chosen, dropped, looked at. */
class ProveDayTest extends BrowserTest {

    private static final int RATE = 16_000;

    private String run;

    @BeforeEach
    void aRun() {
        run = "/runs/" + NewRun.of("EL34");
    }

    private static byte[] tone(double peak) {
        return WavBytes.pcm(
                RATE,
                16,
                IntStream.range(0, RATE / 4)
                        .mapToDouble(i -> peak * Math.sin(2 * Math.PI * 1000 * i / RATE)
                                + 0.02 * peak * Math.cos(2 * Math.PI * 2000 * i / RATE))
                        .toArray());
    }

    @Test
    void aFileIsChosenMeasuredAndSeen() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(run + "?at=prove");
        page.locator("#proof").click();
        page.locator("#file").setInputFiles(new FilePayload("one watt.wav", "audio/wav", tone(0.1)));
        page.locator("#load").fill("8");
        page.locator("#volts").fill("2.83");
        page.locator("#setting").fill("35 mA, 1 W");
        page.locator("#measure").click();
        assertThat(page.locator(".most")).hasText("1 W");
        assertThat(page.locator(".spectrum text.harmonic").nth(1)).hasText("2");
        // What was told of the load stands there for the next one.
        assertThat(page.locator("#load")).hasValue("8");
        assertThat(page.locator("#volts")).hasValue("");
        page.locator(".proof figcaption a").first().click();
        assertThat(page.locator(".proof figcaption a").first()).hasText("logarithmic");
    }

    @Test
    void aFileDroppedAnywhereStandsInItsField() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate(run + "/proof");
        byte[] file = tone(0.4);
        JSHandle dropped = page.evaluateHandle(
                "bytes => { const all = new DataTransfer();"
                        + " all.items.add(new File([new Uint8Array(bytes)], 'dropped.wav')); return all; }",
                IntStream.range(0, file.length).map(i -> file[i] & 0xFF).boxed().toList());
        page.dispatchEvent("main", "drop", Map.of("dataTransfer", dropped));
        assertThat(page.locator("#measure")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator(".most")).hasText("2 %");
        assertThat(page.locator(".recordings tbody th")).hasText("dropped.wav");
    }

    /** The browser takes the tone from the page as it would play it. */
    @Test
    void aToneIsDrawnAndPlayed() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/signal");
        page.locator("#shape").selectOption("LEVELS");
        assertThat(page.locator("#steps")).isVisible();
        page.locator("#toLevel").fill("-10");
        page.locator("#steps").fill("4");
        page.locator("#seconds").fill("0.5");
        page.locator("#seconds").press("Tab");
        assertThat(page.locator("audio"))
                .hasAttribute("src", Pattern.compile(".*seconds=0.5&.*steps=4&.*toLevel=-10.*"));
        assertThat(page.locator(".signal-line")).containsText("-10.0 dB");
        Assertions.assertThat(page.evaluate(
                        "() => new Promise((told, failed) => { const tone = document.querySelector('audio');"
                                + " tone.onloadedmetadata = () => told(tone.duration);"
                                + " tone.onerror = () => failed(tone.error.message);"
                                + " tone.preload = 'auto'; tone.load(); })"))
                .isEqualTo(2);
    }

    @Test
    void onAPhoneNothingSticksOut() {
        Page page = chromium.phone(RunningApplication.url());
        page.navigate(run + "/proof");
        page.locator("#file").setInputFiles(new FilePayload("tone.wav", "audio/wav", tone(0.1)));
        page.locator("#measure").click();
        assertThat(page.locator(".spectrum")).isVisible();
        Assertions.assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();
    }
}
