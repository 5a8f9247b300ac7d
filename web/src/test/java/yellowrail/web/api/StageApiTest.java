package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.web.api.Api.answer;
import static yellowrail.web.api.Api.faults;
import static yellowrail.web.api.Api.post;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import yellowrail.web.RunningApplication;

@ExtendWith(RunningApplication.class)
class StageApiTest {

    /** Published operation: watts, mA of plates at idle and full drive. */
    @ParameterizedTest
    @CsvSource({
        "6L6GC, push-pull, 450, 400, -37, 5600, 55, 116, 210",
        "6V6GT, push-pull, 285, 285, -19, 8000, 14, 70, 92",
        "EL84, single-ended, 250, 250, -7.3, 5200, 5.7, 48, 48"
    })
    void aPublishedStageIsMet(
            String type,
            String stage,
            double plate,
            double screen,
            double bias,
            double load,
            double watts,
            double idle,
            double full) {
        JsonNode found = answer("/api/load-line", """
                {"tubeType": "%s", "stage": "%s", "plateVolts": %s, "screenVolts": %s, "biasVolts": %s,
                 "loadOhms": %s}""".formatted(type, stage, plate, screen, bias, load));
        assertThat(found.get("powerWatts").doubleValue()).isCloseTo(watts, within(0.15 * watts));
        assertThat(found.get("idlePlateMilliamps").doubleValue()).isCloseTo(idle, within(0.05 * idle));
        assertThat(found.get("fullPlateMilliamps").doubleValue()).isCloseTo(full, within(0.15 * full));
        assertThat(found.get("harmonicsPercent")).hasSize(8);
        assertThat(found.get("thdPercent").doubleValue()).isPositive();
        assertThat(found.get("peakPlateVolts").doubleValue()).isGreaterThan(plate);
        assertThat(found.get("notes").toString()).contains("Power to \u00b1 15 %", "Model of " + type);
    }

    @Test
    void aCathodeResistorAndUltralinearTapAndTheNetlist() {
        String stage = """
                {"tubeType": "KT88", "stage": "push-pull", "plateVolts": 400, "connection": "ultralinear",
                 "ultralinearPercent": 40, "cathodeResistorOhms": 250, "loadOhms": 5000, "primaryOhms": 60}""";
        JsonNode found = answer("/api/load-line", stage);
        assertThat(found.get("biasVolts").doubleValue()).isBetween(-60.0, -20.0);
        assertThat(found.get("peakDriveVolts").doubleValue())
                .as("full drive shifts it")
                .isGreaterThan(-found.get("biasVolts").doubleValue());
        HttpResponse<String> netlist = post("/api/load-line.cir", stage);
        assertThat(netlist.headers().firstValue("Content-Type").orElseThrow()).startsWith("text/plain");
        assertThat(netlist.body())
                .startsWith("* KT88 push-pull")
                .contains(".subckt tube", "rk k 0 250\n", ".tran", ".four 1000", ".end")
                .doesNotContain("NaN");
    }

    @Test
    void limitsAndCutOffAreSaid() {
        String hot = """
                {"tubeType": "EL84", "stage": "push-pull", "plateVolts": 400, "screenVolts": 380, "biasVolts": %s,
                 "loadOhms": 8000}""";
        assertThat(answer("/api/load-line", hot.formatted(-6)).get("notes").toString())
                .contains("The idle alone is", "over the rating");
        assertThat(answer("/api/load-line", hot.formatted(-60)).get("notes").toString())
                .contains("At rest the tubes are cut off");
    }

    @Test
    void everyFaultIsNamed() {
        assertThat(faults("/api/load-line", """
                {"tubeType": "KT77", "stage": "both", "tubesPerSide": 5, "plateVolts": 0, "connection": "half",
                 "loadOhms": 0, "biasVolts": 3, "cathodeResistorOhms": 100, "ratio": 3}"""))
                .contains(
                        "KT77 has no model",
                        "Expected one of push-pull, single-ended",
                        "tubesPerSide",
                        "Expected a number from 20 to 2000, got \u201c0\u201d",
                        "Expected one of pentode",
                        "loadOhms",
                        "got \u201c3\u201d",
                        "There is no such field");
        assertThat(faults(
                        "/api/load-line",
                        "{\"tubeType\": \"EL84\", \"stage\": \"push-pull\", \"plateVolts\": 300, \"loadOhms\": 1e9}"))
                .contains("screenVolts", "Missing: a number from 20 to 2000", "biasVolts", "loadOhms");
        assertThat(faults("/api/load-line.cir", "{}")).contains("tubeType", "Missing");
        assertThat(faults("/api/reflected-load", "{\"speakerOhms\": -8, \"tapOhms\": 0}"))
                .contains("speakerOhms", "primaryOhms", "tapOhms");
    }

    @ParameterizedTest
    @CsvSource({
        "6600, 8, 16, 13200, 2, light",
        "6600, 8, 4, 3300, 0.5, heavy",
        "6600, 16, 16, 6600, 1, matched",
        "6600, 8, 1000000, 825000000, 125000, open",
        "6600, 8, 0, 0, 0, shorted"
    })
    void aSpeakerOnATap(double primary, double tap, double speaker, double reflected, double ratio, String verdict) {
        JsonNode found = answer(
                "/api/reflected-load",
                "{\"primaryOhms\": %s, \"tapOhms\": %s, \"speakerOhms\": %s}".formatted(primary, tap, speaker));
        assertThat(found.get("reflectedOhms").doubleValue()).isCloseTo(reflected, within(1e-3));
        assertThat(found.get("ratioToNominal").doubleValue()).isCloseTo(ratio, within(1e-6));
        assertThat(found.get("verdict").stringValue()).isEqualTo(verdict);
    }

    @Test
    void aMeasuredRatio() {
        JsonNode found =
                answer("/api/reflected-load", "{\"primaryVolts\": 67.2, \"secondaryVolts\": 2.40, \"speakerOhms\": 8}");
        assertThat(found.get("turnsRatio").doubleValue()).isCloseTo(28, within(1e-4));
        assertThat(found.get("impedanceRatio").doubleValue()).isCloseTo(784, within(1e-3));
        assertThat(found.get("reflectedOhms").doubleValue()).isCloseTo(6272, within(1e-2));
        assertThat(found.get("ratioToNominal").isNull()).isTrue();
        assertThat(found.get("verdict").stringValue()).isEqualTo("not-judged");
        assertThat(answer(
                                "/api/reflected-load",
                                "{\"primaryVolts\": 67.2, \"secondaryVolts\": 2.40, \"speakerOhms\": 8, "
                                        + "\"primaryOhms\": 6600}")
                        .get("verdict")
                        .stringValue())
                .isEqualTo("matched");
    }
}
