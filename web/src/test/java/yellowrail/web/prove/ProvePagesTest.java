package yellowrail.web.prove;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.recording.Recordings;
import yellowrail.web.run.RunService;

@ExtendWith(RunningApplication.class)
class ProvePagesTest {

    private static final int RATE = 48_000;

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private long run;
    private String proof;

    @BeforeEach
    void aRun() {
        run = NewRun.of("EL34");
        proof = "/runs/" + run + "/proof";
    }

    /** A tone of 1 kHz with a third harmonic, part of its crest. */
    private static double[] tone(double peak, double third) {
        Random random = new Random(1);
        return IntStream.range(0, RATE)
                .mapToDouble(i -> peak * Math.sin(2 * Math.PI * 1000 * i / RATE)
                        + third * peak * Math.sin(2 * Math.PI * 3000 * i / RATE)
                        + 1e-6 * random.nextGaussian())
                .toArray();
    }

    private HttpResponse<String> drop(byte[] file, String load, String volts, String setting) {
        return visitor.upload(proof, proof, "tone.wav", file, Map.of("load", load, "volts", volts, "setting", setting));
    }

    private Document page() {
        return visitor.page(proof);
    }

    @Test
    void aRecordingIsMeasuredDrawnAndKept() {
        assertThat(page().text())
                .contains("Nothing was recorded yet", "100 k in series and 1 k across", "an amp of 100 W");
        byte[] file = WavBytes.pcm(RATE, 24, tone(0.1, 0.01));
        assertThat(Visitor.location(drop(file, "8", "2.83", "one watt"))).startsWith(proof + "?recording=");
        Document page = page();
        assertThat(page.select(".most").text()).isEqualTo("1 W");
        assertThat(page.text())
                .contains("1000.00 Hz, 2.83 V RMS", "one watt", "into 8 ohm", "Full scale of the card is 40.");
        assertThat(page.select(".facts").text()).contains("THD 1 %");
        assertThat(page.select(".spectrum text.harmonic").eachText()).containsExactly("1", "3");
        assertThat(page.select(".wave .residual")).hasSize(1);
        String link = page.select("a[href$=.wav]").attr("href");
        assertThat(visitor.get(link).headers().firstValue("Content-Type")).contains("audio/wav");
        assertThat(RunningApplication.bean(Recordings.class)
                        .sound(run, Long.parseLong(link.replaceAll(".*/(\\d+)\\.wav", "$1"))))
                .hasValue(file);
    }

    /** The second recording needs no meter: the first told what the card hears. */
    @Test
    void whatTheMeterReadOnceCountsForAll() {
        drop(WavBytes.pcm(RATE, 24, tone(0.1, 0.01)), "8", "2.83", "one watt");
        drop(WavBytes.pcm(RATE, 24, tone(0.4, 0.05)), "8", "", "more");
        Document page = page();
        assertThat(page.select(".most").text()).isEqualTo("16 W");
        assertThat(page.select(".recordings tbody tr").eachText())
                .hasSize(2)
                .first()
                .asString()
                .contains("one watt", "2.83 V", "1 W", "1 %");
        // A meter that says another thing of the second level: one of the two is wrong.
        drop(WavBytes.pcm(RATE, 24, tone(0.4, 0.05)), "8", "15", "again");
        assertThat(page().text()).contains("but the readings differ from it by up to");
    }

    @Test
    void withoutAMeterNoVoltIsTold() {
        drop(WavBytes.pcm(RATE, 16, tone(0.5, 0.02)), "8", "", "");
        Document page = page();
        assertThat(page.text()).contains("Volts are not known yet", "-6.0 dB FS");
        assertThat(page.select(".most").text()).isEqualTo("2 %");
        assertThat(page.select(".recordings tbody td").get(3).text()).isEqualTo("\u2013");
    }

    @Test
    void bothChannelsCanBeSeen() {
        drop(WavBytes.pcm(RATE, 24, tone(0.1, 0.01), tone(0.1, 0.03)), "8", "2.83", "two amps");
        assertThat(page().select(".facts").text()).contains("THD 1 %");
        assertThat(visitor.page(proof + "?channel=2").select(".facts").text()).contains("THD 3 %");
        assertThat(visitor.page(proof + "?channel=2&scale=linear").select(".spectrum text.harmonic"))
                .isNotEmpty();
    }

    /** {@code x + 0.05 x^2} of 0.4 and 0.1: 2 a A is 4 %. */
    @Test
    void twoTonesAreToldByWhatTheyMakeOfEachOther() {
        double[] wave = IntStream.range(0, 2 * RATE)
                .mapToDouble(i ->
                        0.4 * Math.sin(2 * Math.PI * 60 * i / RATE) + 0.1 * Math.sin(2 * Math.PI * 7000 * i / RATE))
                .map(x -> x + 0.05 * x * x)
                .toArray();
        drop(WavBytes.pcm(RATE, 24, wave), "8", "", "two tones");
        Document page = page();
        assertThat(page.select(".most").text()).isEqualTo("4 %");
        assertThat(page.text()).contains("Intermodulation 4 %", "Two tones, 60.0 Hz and 7000.0 Hz");
    }

    @Test
    void whatCannotBeMeasuredIsToldBesideWhatWasTyped() {
        HttpResponse<String> silent = drop(WavBytes.pcm(RATE, 16, new double[RATE]), "8.2", "", "a quiet one");
        assertThat(silent.statusCode()).isEqualTo(422);
        assertThat(silent.body()).contains("Silence: every sample is 0", "value=\"8.2\"", "value=\"a quiet one\"");
        HttpResponse<String> text = drop("ID3 a song".getBytes(), "8 apples", "-3", "x");
        assertThat(text.body()).contains("Not usable: ", "is out of range", "value=\"8 apples\"");
        assertThat(drop("ID3 a song, and so on".getBytes(), "8", "", "x").body())
                .contains("This is an MP3");
        assertThat(drop(new byte[0], "8", "", "x").body()).contains("Choose a file first");
        assertThat(page().text()).contains("Nothing was recorded yet");
    }

    /** A block of a recording that goes on, asked about as the page does. */
    private Document live(String query, double[] block) {
        String token = visitor.form(proof, proof).get("_csrf");
        String path = proof + "/live?" + query + "&_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8);
        HttpResponse<String> answer = visitor.postBytes(path, "audio/wav", WavBytes.pcm(RATE, 24, block));
        assertThat(answer.statusCode()).isEqualTo(200);
        return Jsoup.parse(answer.body());
    }

    @Test
    void theNewestIsDrawnWhileItIsRecorded() {
        drop(WavBytes.pcm(RATE, 24, tone(0.1, 0.01)), "8", "2.83", "one watt");
        double[] block = Arrays.copyOf(tone(0.2, 0.02), RATE / 5);

        Document live = live("load=8.0R", block);
        assertThat(live.select(".most").eachText()).containsExactly("4 W", "2 % THD", "1000 Hz");
        assertThat(live.select("svg.spectrum, svg.wave")).hasSize(2);
        assertThat(live.select("[data-next]").attr("data-next")).isEmpty();
        assertThat(live("load=8+apples", block).select(".most").eachText()).containsExactly("2 % THD", "1000 Hz");
        assertThat(live("load=8", new double[RATE / 5]).select(".most").text()).isEqualTo("no tone");

        // 4 W and 1 W is asked for: half the volts.
        Document climb = live("load=8&goal=POWER&mark=1&level=-20", block);
        assertThat(Double.parseDouble(climb.select("[data-next]").attr("data-next")))
                .isCloseTo(-26.02, Offset.offset(0.02));
        Document there = live("load=8&goal=POWER&mark=4&level=-20", block);
        assertThat(there.select("[data-there=true]").attr("data-says")).contains("4.00 W is there");
        assertThat(live("load=8&goal=POWER&mark=NaN&level=-20", block)
                        .select("[data-next]")
                        .attr("data-next"))
                .isEmpty();
    }

    @Test
    void whatIsLeftOutCanBeTakenBack() {
        drop(WavBytes.pcm(RATE, 24, tone(0.1, 0.01)), "8", "2.83", "one watt");
        String action = page().select("table form").attr("action");
        Map<String, String> form = visitor.form(proof, action);
        form.put("what", "drop");
        String after = Visitor.location(visitor.post(action, form));
        assertThat(visitor.page(after).text()).contains("Left out.", "Nothing was recorded yet");
        form.put("what", "restore");
        visitor.post(action, form);
        assertThat(page().select(".most").text()).isEqualTo("1 W");
    }

    @Test
    void aClosedRunTakesNoMore() {
        RunningApplication.bean(RunService.class).close(run);
        assertThat(page().select("#drop")).isEmpty();
        assertThat(visitor.get("/runs/999999/proof").statusCode()).isEqualTo(404);
        assertThat(visitor.get(proof + "/999999.wav").statusCode()).isEqualTo(404);
    }
}
