package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class SpectrumApiTest {

    private static final int RATE = 48_000;

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private JsonNode measured(String query, byte[] sound) {
        return new JsonMapper()
                .readTree(visitor.postBytes("/api/spectrum?" + query, "audio/wav", sound)
                        .body());
    }

    private static double[] seconds(double seconds, IntToDoubleFunction sample) {
        return IntStream.range(0, (int) (seconds * RATE)).mapToDouble(sample).toArray();
    }

    private static double sine(double hertz, int i) {
        return Math.sin(2 * Math.PI * hertz * i / RATE);
    }

    /** Half of full scale is 20 V peak, 14.14 V RMS: 25 W in 8 ohm. */
    @Test
    void bothChannelsAreMeasuredAtOnce() {
        double[] left = seconds(
                2,
                i -> 0.5 * sine(1000.5, i)
                        + 0.004 * sine(2001, i)
                        + 0.003 * sine(3001.5, i)
                        + 1e-4 * sine(60, i)
                        + 2e-4 * sine(120, i));
        double[] silent = new double[left.length];
        JsonNode answer = measured("mainsHertz=60&loadOhms=8&fullScaleVolts=40", WavBytes.pcm(RATE, 24, left, silent));
        JsonNode channel = answer.at("/channels/0");
        assertThat(channel.get("fundamentalHertz").doubleValue()).isCloseTo(1000.5, within(1e-3));
        assertThat(channel.get("levelVolts").doubleValue()).isCloseTo(14.1421, within(1e-3));
        assertThat(channel.get("watts").doubleValue()).isCloseTo(25, within(1e-3));
        assertThat(channel.at("/harmonicsPercent/0").doubleValue()).isCloseTo(0.8, within(1e-4));
        assertThat(channel.get("harmonicsPercent")).hasSize(9);
        assertThat(channel.get("thdPercent").doubleValue()).isCloseTo(1, within(1e-4));
        assertThat(channel.get("thdPlusNoisePercent").doubleValue()).isCloseTo(1.0011, within(1e-3));
        assertThat(channel.get("humVolts").doubleValue()).isCloseTo(40 * 1e-4 / Math.sqrt(2), within(1e-6));
        assertThat(channel.get("rippleVolts").doubleValue()).isCloseTo(40 * 2e-4 / Math.sqrt(2), within(1e-6));
        assertThat(channel.get("clipped").booleanValue()).isFalse();
        assertThat(channel.get("notes")).isEmpty();
        assertThat(answer.at("/channels/1/levelVolts").isNull()).isTrue();
        assertThat(answer.at("/channels/1/notes/0/code").stringValue()).isEqualTo("silence");
    }

    @Test
    void theCardsClipIsTold() {
        JsonNode channel = measured(
                        "",
                        WavBytes.pcm(RATE, 16, seconds(1, i -> Math.max(-1, Math.min(0.99996, 1.3 * sine(440, i))))))
                .at("/channels/0");
        assertThat(channel.get("clipped").booleanValue()).isTrue();
        assertThat(channel.get("watts").isNull()).isTrue();
        assertThat(channel.get("notes").toString()).contains("card-clipped", "full-scale-not-given");
    }

    @Test
    void everyFaultOfTheQueryIsTold() {
        byte[] sound = WavBytes.pcm(RATE, 16, seconds(1, i -> 0.5 * sine(440, i)));
        assertThat(measured("mainsHertz=55&bandLow=400&bandHigh=300&loadOhms=none&colour=1", sound)
                        .toString())
                .contains("The sound cannot be measured", "Expected 50 or 60, got 55.", "bandHigh lies above bandLow")
                .contains("{\"field\":\"loadOhms\",\"message\":\"Expected a number from")
                .contains("{\"field\":\"colour\",\"message\":\"There is no such field.\"}");
    }

    @Test
    void whatIsNoSoundIsRefusedByItsName() {
        for (String[] each : new String[][] {
            {"", "The file is empty."},
            {"ID3 is how they begin", "This is an MP3, whatever it is called"},
            {"fLaC is how they begin", "This is a FLAC file"},
            {"a page of text, no sound", "This is no WAV file"},
        }) {
            assertThat(measured("", each[0].getBytes(StandardCharsets.US_ASCII)).toString())
                    .contains("{\"field\":\"body\",\"message\":\"" + each[1]);
        }
        byte[] law = WavBytes.pcm(RATE, 16, new double[100]);
        law[20] = 6;
        assertThat(measured("", law).toString()).contains("packed by A-law");
    }

    @Test
    void whatIsCutOffIsMeasuredAsFarAsItGoes() {
        byte[] whole = WavBytes.pcm(RATE, 16, seconds(2, i -> 0.5 * sine(440, i)));
        JsonNode answer = measured("", Arrays.copyOf(whole, whole.length / 2));
        assertThat(answer.at("/channels/0/fundamentalHertz").doubleValue()).isCloseTo(440, within(1e-3));
        assertThat(answer.get("notes").toString()).contains("less-than-announced");
    }
}
