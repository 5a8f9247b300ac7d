package yellowrail.web.ring;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.NewRun;
import yellowrail.web.PracticeRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Tapped;
import yellowrail.web.Visitor;

/** Tubes tapped one by one. */
@ExtendWith(RunningApplication.class)
class RingPagesTest {

    private static final int RATE = 48_000;

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private String taps;

    @BeforeEach
    void aRun() {
        taps = "/runs/" + NewRun.of("EL34") + "/taps";
    }

    private static byte[] tapped(double hertz, double fall, double level) {
        return WavBytes.pcm(RATE, 24, Tapped.taps(hertz, fall, level));
    }

    private HttpResponse<String> drop(byte[] file, String tube, String gain) {
        return visitor.upload(taps, taps, "taps.wav", file, Map.of("tube", tube, "gain", gain));
    }

    private Document page() {
        return visitor.page(taps);
    }

    @Test
    void tubeStandsBesideTubeByItsGain() {
        assertThat(page().text()).contains("No tube was tapped yet", "one hand in a pocket");
        assertThat(Visitor.location(drop(tapped(842, 25, 0.05), "V1", "40"))).startsWith(taps + "?recording=");
        drop(tapped(1310, 40, 0.02), "V2", "4");
        Document page = page();

        assertThat(page.select(".tubes tbody th").eachText()).containsExactly("V1 normal", "V2 normal");
        assertThat(page.select(".tubes tbody").eachText().get(0))
                .contains("842.00", "0.27", "3 of 3 taps", "the quietest");
        assertThat(page.select(".tubes tbody").eachText().get(1))
                .contains("1310.00", "4.0 times as loud as the quietest: more than the taps of one tube differ by");
        assertThat(page.select(".taps .fitted")).hasSize(3);
        assertThat(page.select(".taps text.name").eachText()).containsOnly("1310 Hz");
        String link = page.select("a[href$=.wav]").attr("href");
        assertThat(visitor.get(link).headers().firstValue("Content-Type")).contains("audio/wav");
    }

    @Test
    void aTubeThatRingsOnIsTold() {
        drop(tapped(640, 2.5, 0.05), "V3", "");

        assertThat(page().select(".sentence").text()).contains("V3: It rings on at 640 Hz for 2.8 s");
        assertThat(page().select(".tubes tbody.differs")).hasSize(1);
        assertThat(visitor.get(taps, "en-GB").body()).contains("Valve by valve");
    }

    @Test
    void whatCannotBeHeardIsToldBesideWhatWasTyped() {
        HttpResponse<String> silent = drop(WavBytes.pcm(RATE, 16, new double[2 * RATE]), "V1", "40");
        assertThat(silent.statusCode()).isEqualTo(422);
        assertThat(silent.body()).contains("No tap was heard in 2.0 s", "value=\"V1\"", "value=\"40\"");
        assertThat(drop(tapped(842, 25, 0.05), "", "0").body()).contains("Say which tube is tapped", "value=\"0\"");
        assertThat(drop("ID3 a song".getBytes(), "V1", "").body()).contains("MP3");
        assertThat(drop(new byte[0], "V1", "").body()).contains("Choose a file first");
        assertThat(page().text()).contains("No tube was tapped yet");
        assertThat(visitor.get("/runs/999999/taps").statusCode()).isEqualTo(404);
    }

    @Test
    void whatIsLeftOutCanBeTakenBack() {
        drop(tapped(842, 25, 0.05), "V1", "");
        String action = page().select(".recordings form").attr("action");
        Map<String, String> form = visitor.form(taps, action);
        form.put("what", "drop");
        assertThat(visitor.page(Visitor.location(visitor.post(action, form))).text())
                .contains("Left out.", "No tube was tapped yet");
        form.put("what", "restore");
        visitor.post(action, form);
        assertThat(page().select(".tubes tbody")).hasSize(1);
        assertThat(visitor.page(taps.replace("taps", "proof")).text()).contains("Nothing was recorded yet");
    }

    @Test
    void thePracticeAmpIsTappedByAHandOfItsOwn() {
        PracticeRun amp = PracticeRun.warm(visitor);
        taps = amp.path() + "/taps";
        for (String socket : List.of("V1", "V2", "V1")) {
            assertThat(amp.post("/taps/practice", Map.of("socket", socket)).statusCode())
                    .isEqualTo(302);
        }
        assertThat(page().select(".tubes tbody").eachText())
                .hasSize(2)
                .anySatisfy(row -> assertThat(row).contains("V1", "8 of 8 taps"));
        assertThat(amp.post("/taps/practice", Map.of("socket", "V9")).body()).contains("There is no such socket");

        amp.post("/practice/power", Map.of());
        assertThat(amp.post("/taps/practice", Map.of("socket", "V2")).body())
                .as("it is off")
                .contains("No tap was heard");
    }
}
