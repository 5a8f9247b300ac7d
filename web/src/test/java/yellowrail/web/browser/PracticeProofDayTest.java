package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.Workshop;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.run.RunEntries;

/** The practice amp, heard by a browser's own recorder at two settings of its bias, and by its file. */
@ExtendWith(RunningApplication.class)
class PracticeProofDayTest {

    private static final int RATE = 48_000;
    private static final int SECONDS = 5;

    @TempDir
    private Path folder;

    private long run;

    /** At a setting of the pot; whole turns of tone and hum, so that the file has no seam where it begins anew. */
    private static byte[] played(double pot) {
        Bench bench = new Workshop(Exercise.MISMATCHED_PAIR, 5).bench();
        bench.power(true);
        bench.turn(0, pot);
        bench.advance(600);
        double[] heard = bench.output().heard(TestSignal.sine(1000, 0.3, SECONDS + 1), RATE);
        double[] steady = Arrays.copyOfRange(heard, RATE / 2, RATE / 2 + SECONDS * RATE);
        return WavBytes.pcm(RATE, 16, steady, steady);
    }

    private static double[] figures(Page page) {
        return page.locator(".proof .facts dd").allTextContents().stream()
                .limit(4)
                .mapToDouble(text -> Double.parseDouble(text.replaceAll("[^0-9.]", "")))
                .toArray();
    }

    private void type(String line) {
        RunningApplication.bean(RunEntries.class).enter(run, line, "", true);
    }

    private void record(Page page, String setting) {
        page.navigate("/runs/" + run + "/proof");
        page.locator("#record").click();
        assertThat(page.locator("#heard")).containsText(Pattern.compile("^[3-9]\\.\\d s"));
        page.locator("#record").click();
        keep(page, setting);
    }

    private static void keep(Page page, String setting) {
        page.locator("#setting").fill(setting);
        page.locator("#load").fill("8");
        page.locator("#volts").fill("");
        page.locator("#measure").click();
        assertThat(page.locator(".recordings tr.here th")).hasText(setting);
    }

    /** THD, THD+N and both hums of what was recorded, and of the file itself. */
    private void recordedIsAsTheFile(double pot, String setting) throws IOException {
        byte[] file = played(pot);
        Path fake = Files.write(folder.resolve("fake" + pot + ".wav"), file);
        try (Chromium chromium = new Chromium(
                "--use-fake-device-for-media-stream",
                "--use-fake-ui-for-media-stream",
                "--use-file-for-fake-audio-capture=" + fake)) {
            Page page = chromium.laptop(RunningApplication.url());
            record(page, setting);
            double[] recorded = figures(page);
            page.locator("#file").setInputFiles(new FilePayload("file.wav", "audio/wav", file));
            keep(page, setting + ", its file");
            double[] held = figures(page);
            for (int i = 0; i < held.length; i++) {
                Assertions.assertThat(recorded[i] / held[i])
                        .as("figure %d of %s", i, setting)
                        .isBetween(0.98, 1.02);
            }
            Assertions.assertThat(chromium.errors()).isEmpty();
        }
    }

    @Test
    void twoSettingsAreRecordedAndStandSideBySide() throws IOException {
        run = NewRun.of("6550A");
        type("tick all");
        type("mains 120; V1 55mV; V2 37mV; plate 440");
        recordedIsAsTheFile(0.35, "cold");
        type("turn RANGE clockwise");
        type("V1 75mV; V2 52mV; plate 420");
        recordedIsAsTheFile(0.5, "hot");
        try (Chromium chromium = new Chromium()) {
            Page page = chromium.laptop(RunningApplication.url());
            page.navigate("/runs/" + run + "/proof");
            assertThat(page.locator(".side-by-side thead th")).hasCount(2);
            assertThat(page.locator(".side-by-side td.differs").first()).containsText("more than repeats differ by");
        }
    }
}
