package yellowrail.web.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class SignalPagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private Document page(String query) {
        return visitor.page("/signal?" + query);
    }

    /** What the page gives to play is what the measuring side finds in it. */
    @Test
    void theFileHoldsWhatTheFieldsSay() {
        byte[] file = visitor.getBytes("/signal.wav?shape=SINE&hertz=440.5&level=-20&seconds=2&rate=44100&bits=24");
        JsonNode channel = new JsonMapper()
                .readTree(visitor.postBytes("/api/spectrum?fullScaleVolts=1", "audio/wav", file)
                        .body())
                .at("/channels/0");
        assertThat(channel.get("fundamentalHertz").doubleValue()).isCloseTo(440.5, within(1e-3));
        // The ramps at both ends weigh next to nothing.
        assertThat(channel.get("levelVolts").doubleValue()).isCloseTo(0.1 / Math.sqrt(2), within(1e-5));
        assertThat(channel.get("thdPercent").doubleValue()).isLessThan(1e-3);
        assertThat(file).hasSize(44 + 3 * 2 * 44_100);
        assertThat(Arrays.copyOf(file, 4)).isEqualTo("RIFF".getBytes());
    }

    @Test
    void everyShapeIsDrawnWithItsOwnFields() {
        assertThat(page("").select("#hertz, #level, #seconds")).hasSize(3);
        assertThat(page("").select("#to, #toLevel, #steps")).isEmpty();
        assertThat(page("shape=LEVELS&toLevel=0&steps=5&seconds=2")
                        .select(".signal-line text:contains(dB)")
                        .eachText())
                .containsExactly("-40.0 dB", "-30.0 dB", "-20.0 dB", "-10.0 dB", "0.0 dB");
        assertThat(page("shape=FREQUENCIES&hertz=20&to=20000&steps=4&seconds=2")
                        .select(".signal-line")
                        .text())
                .contains("20 Hz", "200 Hz", "20000 Hz");
        assertThat(page("shape=BASS_AND_TREBLE").select(".signal-line").text()).contains("60 + 7000 Hz");
        assertThat(page("shape=SILENCE").select("#level")).isEmpty();
        assertThat(page("shape=TWIN_TREBLE").select("audio").attr("src")).startsWith("/signal.wav?");
    }

    @Test
    void whatCannotBePlayedIsToldBesideItsField() {
        String faults =
                visitor.get("/signal?hertz=23500&level=3&seconds=0&bits=20").body();
        assertThat(faults)
                .contains("from -100 to 0", "16 or 24 bits are written", "value=\"23500\"")
                .doesNotContain("<audio");
        assertThat(visitor.get("/signal?hertz=23500").body()).contains("Too near half the sample rate, 24,000 Hz");
        assertThat(visitor.get("/signal?shape=LEVELS&toLevel=0&steps=40&seconds=10")
                        .body())
                .contains("At most 60 s in all");
        assertThat(visitor.get("/signal.wav?hertz=no").statusCode()).isEqualTo(404);
        assertThat(visitor.get("/signal").body()).contains("Turn the amp down before a tone begins");
    }
}
