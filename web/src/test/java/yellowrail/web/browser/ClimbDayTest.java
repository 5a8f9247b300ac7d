package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.WaitForFunctionOptions;
import com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions;
import com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions;
import com.microsoft.playwright.options.FilePayload;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/**
 * Cells of the grid measured with one key. What the page plays goes through an amp that clips and comes back as its
 * microphone, all within the browser: a loop that is closed, as at the bench.
 */
@ExtendWith(RunningApplication.class)
class ClimbDayTest {

    /** So long may a climb take. */
    private static final double PATIENCE = 60_000;

    /** Full scale comes back as a quarter, clipped softly; the loop can be cut, and made louder by a hand. */
    private static final String AMP = """
            (() => {
              const amp = new AudioContext({ sampleRate: 48000 });
              const out = amp.createMediaStreamDestination();
              const curve = new Float32Array(8193).map((_, i) => 0.25 * Math.tanh(6 * (i / 4096 - 1)) / 6 * 4);
              const shaper = new WaveShaperNode(amp, { curve });
              window.volume = new GainNode(amp, { gain: 1 });
              window.volume.connect(shaper).connect(out);
              navigator.mediaDevices.getUserMedia = async () => { await amp.resume(); return out.stream.clone(); };
              const real = AudioNode.prototype.connect;
              AudioNode.prototype.connect = function (to, ...rest) {
                if (to === this.context.destination && this instanceof GainNode && this.gain.value === 0
                    && this.context !== amp) {
                  const back = this.context.createMediaStreamDestination();
                  real.call(this, back);
                  real.call(amp.createMediaStreamSource(back.stream), window.volume);
                  return to;
                }
                return real.call(this, to, ...rest);
              };
            })();
            """;

    private String proof;

    @BeforeEach
    void aRun() {
        proof = "/runs/" + NewRun.of("EL84") + "/proof";
    }

    private Page open(Chromium chromium) {
        Page page = chromium.laptop(RunningApplication.url());
        page.addInitScript(AMP);
        page.navigate(proof);
        return page;
    }

    /** Once the page has its scripts. */
    private static void press(Page page, String key) {
        assertThat(page.locator("button.climb[data-press=" + key + "]")).isVisible();
        page.keyboard().press(key);
    }

    @Test
    void oneKeyClimbsUntilItClips() {
        try (Chromium chromium = new Chromium("--autoplay-policy=no-user-gesture-required")) {
            Page page = open(chromium);
            press(page, "o");
            assertThat(page.locator("#live .spectrum")).isVisible();
            assertThat(page.locator("#live .wave")).isVisible();
            assertThat(page.locator(".recordings tbody tr")).hasCount(1, new HasCountOptions().setTimeout(PATIENCE));
            assertThat(page.locator(".notes")).containsText("steps in level");
            // Tanh is at 10 % and more where its tops are flat.
            double distortion = number(page.locator(".proof .facts dd").nth(0).textContent());
            Assertions.assertThat(distortion).isBetween(10.0, 16.0);
            Assertions.assertThat(chromium.errors()).isEmpty();
        }
    }

    private static double number(String text) {
        return Double.parseDouble(text.replaceAll("[^0-9.]", ""));
    }

    @Test
    void oneKeyClimbsToAWatt() {
        try (Chromium chromium = new Chromium("--autoplay-policy=no-user-gesture-required")) {
            Page page = open(chromium);
            press(page, "s");
            assertThat(page.locator("#heard"))
                    .containsText("Watts are not known", new ContainsTextOptions().setTimeout(PATIENCE));
            assertThat(page.locator("#record")).hasText("Record from the sound card");

            // A recording with a meter's reading beside it tells the scale: 0.1 of full scale is 2.83 V, 40 V in all.
            double[] tone = IntStream.range(0, 48_000)
                    .mapToDouble(i -> 0.1 * Math.sin(2 * Math.PI * 1000 * i / 48_000))
                    .toArray();
            page.locator("#file")
                    .setInputFiles(new FilePayload("scale.wav", "audio/wav", WavBytes.pcm(48_000, 24, tone)));
            page.locator("#load").fill("8.0R");
            page.locator("#volts").fill("2.83");
            page.locator("#measure").click();
            assertThat(page.locator(".recordings tbody tr")).hasCount(1);

            // 1 W at 1 kHz has an answer by that; at 100 Hz it is asked for.
            press(page, "a");
            assertThat(page.locator(".recordings tbody tr")).hasCount(2, new HasCountOptions().setTimeout(PATIENCE));
            Assertions.assertThat(number(page.locator(".proof .most").textContent()))
                    .isBetween(0.95, 1.05);
            assertThat(page.locator(".proof .say").first()).containsText("100.00 Hz");
            assertThat(page.locator(".proof-grid [data-press=a]")).hasCount(0);
            Assertions.assertThat(chromium.errors()).isEmpty();
        }
    }

    @Test
    void aHandOnTheVolumeControlTurnsTheToneOff() {
        try (Chromium chromium = new Chromium("--autoplay-policy=no-user-gesture-required")) {
            Page page = open(chromium);
            press(page, "o");
            // Only from the first level that was judged on is it known how loud the next has to come back.
            page.waitForFunction(
                    "() => document.querySelector('#live [data-next]')?.dataset.next",
                    null,
                    new WaitForFunctionOptions().setTimeout(PATIENCE));
            page.evaluate("() => { window.volume.gain.value = 8; }");
            assertThat(page.locator("#heard"))
                    .containsText("Leave the volume control alone", new ContainsTextOptions().setTimeout(PATIENCE));
            assertThat(page.locator("#record")).hasText("Record from the sound card");
        }
    }
}
