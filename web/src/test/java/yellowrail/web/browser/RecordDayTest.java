package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/** A recording by the browser itself, from a sound card that is a file. */
@ExtendWith(RunningApplication.class)
class RecordDayTest {

    private static final int RATE = 48_000;

    @TempDir
    private Path folder;

    private String proof;

    @BeforeEach
    void aRun() {
        proof = "/runs/" + NewRun.of("EL84") + "/proof";
    }

    /** Whole turns, so that the file has no seam where it begins anew. */
    private static byte[] tone() {
        double[] wave = IntStream.range(0, 10 * RATE)
                .mapToDouble(i ->
                        0.4 * Math.sin(2 * Math.PI * 1000 * i / RATE) + 0.012 * Math.sin(2 * Math.PI * 3000 * i / RATE))
                .toArray();
        return WavBytes.pcm(RATE, 16, wave, wave);
    }

    private static double figure(Page page, int number) {
        return Double.parseDouble(
                page.locator(".proof .facts dd").nth(number).textContent().replaceAll("[^0-9.]", ""));
    }

    @Test
    void whatTheCardHearsIsWhatTheFileHolds() throws IOException {
        byte[] file = tone();
        Path played = Files.write(folder.resolve("played.wav"), file);
        try (Chromium chromium = new Chromium(
                "--use-fake-device-for-media-stream",
                "--use-fake-ui-for-media-stream",
                "--use-file-for-fake-audio-capture=" + played)) {
            Page page = chromium.laptop(RunningApplication.url());
            page.navigate(proof);
            page.locator("#record").click();
            assertThat(page.locator("#record")).hasText("Stop");
            assertThat(page.locator("#heard")).containsText(Pattern.compile("^[2-9]\\.\\d s \u00b7 -\\d"));
            assertThat(page.locator("#live .most").first()).hasText(Pattern.compile("^(2\\.9|3\\.?|3\\.0)\\d* % THD$"));
            assertThat(page.locator("#live .most").last()).hasText("1000 Hz");
            assertThat(page.locator("#live .spectrum text.harmonic").first()).hasText("1");
            page.locator("#record").click();
            assertThat(page.locator("#measure")).isFocused();
            page.locator("#setting").fill("recorded");
            page.locator("#measure").click();
            assertThat(page.locator(".recordings tbody th")).hasText("recorded");
            double recorded = figure(page, 0);
            Assertions.assertThat(page.locator(".proof .say").textContent()).contains("1000.0");
            page.locator("#file").setInputFiles(new FilePayload("played.wav", "audio/wav", file));
            page.locator("#measure").click();
            assertThat(page.locator(".recordings tbody tr")).hasCount(2);
            double held = figure(page, 0);
            Assertions.assertThat(held).isCloseTo(3, Assertions.within(0.01));
            Assertions.assertThat(recorded / held).isBetween(0.98, 1.02);
            Assertions.assertThat(chromium.errors()).isEmpty();
        }
    }

    @Test
    void aBrowserThatMayNotListenSaysSo() {
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(RunningApplication.url());
            page.navigate(proof);
            page.locator("#record").click();
            assertThat(page.locator("#heard")).hasText(Pattern.compile(".*(not allowed to listen|no sound card).*"));
            assertThat(page.locator("#record")).isEnabled();
        }
    }
}
