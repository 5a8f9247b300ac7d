package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.web.api.Api.json;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class IdleApiTest {

    private static final String PAIR = """
            {"tubeType": "6L6GC", "plateVolts": 452, "plateReference": "ground", "platePoint": "plate",
             "method": "cathode-sense",
             "senseVolts": 0.0364, "senseOhms": 1, "senseTolerancePercent": 1, "meterPercent": 0.5,
              "screenWay": "typical", "biasKind": "fixed"}""";

    private static HttpResponse<String> post(String body) {
        return Api.post("/api/idle", body);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'\"x\":0' | 451.96 | 36.40 | 34.58 | 15.63 | 52.1 | in-window",
                "'\"senseVolts\": 0.0339' | 451.97 | 33.90 | 32.21 | 14.56 | 48.5 | cold",
                "'\"screenWay\": \"not-deducted\"' | 451.96 | 36.40 | 36.40 | 16.45 | 54.8 | in-window",
                "'\"tubeType\": \"EL84\", \"method\": \"cathode-bias\", \"senseOhms\": 61.4, \"senseVolts\": "
                        + "9.85, \"sharedBy\": 4, \"plateVolts\": 311, \"plateReference\": \"cathode\", "
                        + "\"biasKind\": \"cathode\"' | 311 | 40.11 | 36.10 | 11.23 | 93.5 | in-window",
                "'\"tubeType\": \"EL84\", \"method\": \"cathode-bias\", \"senseOhms\": 61.4, \"senseVolts\": "
                        + "9.85, \"sharedBy\": 4, \"plateVolts\": 311, \"plateReference\": \"cathode\"' | 311 | "
                        + "40.11 | 36.10 | 11.23 | 93.5 | hot",
                "'\"tubeType\": \"EL34\", \"senseOhms\": 12.4, \"senseVolts\": 0.93, \"sharedBy\": 2, "
                        + "\"plateVolts\": 438' | 437.07 | 37.50 | 32.63 | 14.26 | 57.0 | in-window",
                "'\"tubeType\": \"KT88\", \"method\": \"cathode-bias\", \"senseOhms\": 390, \"senseVolts\": "
                        + "31.2, \"plateVolts\": 402, \"biasKind\": \"single-ended\"' | 370.80 | 80.00 | 76.40 |"
                        + " 28.33 | 80.9 | in-window",
                "'\"method\": \"half-primary-drop\", \"senseOhms\": 118, \"senseVolts\": 4.35, \"plateVolts\": "
                        + "440' | 440 | 38.80 | 36.86 | 16.22 | 54.1 | in-window",
                "'\"method\": \"plate-milliamps\", \"milliamps\": 70, \"plateVolts\": 440' | 440 | 73.68 | 70 | "
                        + "30.80 | 102.7 | over-rating"
            })
    void computesTheWorkedExamples(
            String change, double volts, double cathode, double plate, double watts, double percent, String verdict) {
        HttpResponse<String> response = post(changed(change));
        assertThat(response.statusCode()).as(response.body()).isEqualTo(200);
        JsonNode idle = json(response.body());
        assertThat(idle.get("plateVolts").doubleValue()).isCloseTo(volts, within(0.006));
        assertThat(idle.get("cathodeMilliamps").doubleValue()).isCloseTo(cathode, within(0.006));
        assertThat(idle.get("plateMilliamps").doubleValue()).isCloseTo(plate, within(0.006));
        assertThat(idle.get("dissipationWatts").doubleValue()).isCloseTo(watts, within(0.006));
        assertThat(idle.get("percentOfRating").doubleValue()).isCloseTo(percent, within(0.06));
        assertThat(idle.get("verdict").stringValue()).isEqualTo(verdict);
        assertThat(idle.get("plusMinusWatts").doubleValue()).isPositive();
        assertThat(response.headers().firstValue("Set-Cookie")).isEmpty();
    }

    /** The pair's request with some fields replaced or added. */
    private static String changed(String change) {
        ObjectNode request = (ObjectNode) json(PAIR);
        ((ObjectNode) json("{" + change + "}"))
                .properties()
                .forEach(field -> request.set(field.getKey(), field.getValue()));
        request.remove("x");
        return request.toString();
    }

    @Test
    void theHalfPrimaryNoteTellsTheWarmFigure() {
        assertThat(post(changed("\"method\": \"half-primary-drop\", \"senseOhms\": 118, \"senseVolts\": 4.35"))
                        .body())
                .contains("33.59 mA");
    }

    @Test
    void listsEveryFaultWithItsFieldInOneProblem() {
        HttpResponse<String> response = post("""
                {"tubeType": "EL34X", "plateVolts": "high", "method": "guess", "senseVolts": -1, "senseOhms": 0,
                 "sharedBy": 1.5,
                 "meterPercent": NaN, "senseTolerancePercent": 1e309, "paMaxWatts": 1e12, "screenWay": 7,
                  "colour": "red"}""");
        assertThat(response.statusCode()).isEqualTo(400);
        assertThat(response.headers().firstValue("Content-Type").orElseThrow()).startsWith("application/problem+json");
        List<String> fields = json(response.body())
                .get("errors")
                .valueStream()
                .map(error -> error.get("field").stringValue())
                .toList();
        assertThat(fields)
                .containsExactlyInAnyOrder(
                        "tubeType",
                        "plateVolts",
                        "method",
                        "senseVolts",
                        "senseOhms",
                        "sharedBy",
                        "meterPercent",
                        "senseTolerancePercent",
                        "paMaxWatts",
                        "screenWay",
                        "colour");
        assertThat(response.body()).contains("Expected a number from 1 to 5000, got \u201chigh\u201d");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{",
                "[]",
                "null",
                "\"text\"",
                "12",
                "{\"a\":1,\"a\":2}",
                "<script>alert(1)</script>",
                "\uD83D\uDE00"
            })
    void refusesWhatIsNoObject(String body) {
        HttpResponse<String> response = post(body);
        assertThat(response.statusCode()).isEqualTo(400);
        assertThat(json(response.body()).get("detail").stringValue()).startsWith("The body");
    }

    @Test
    void refusesHugeBodiesAndDeepOnes() {
        assertThat(post("{\"tubeType\":\"" + "9".repeat(10_000) + "\"}").body())
                .hasSizeLessThan(2_000)
                .contains("is not in the catalogue");
        assertThat(post("x".repeat(100_000)).statusCode()).isEqualTo(400);
        assertThat(post("{\"a\":".repeat(3_000)).statusCode()).isEqualTo(400);
    }

    @Test
    void saysWhenReadingsContradictOneAnother() {
        HttpResponse<String> response = post(changed("\"screenWay\": \"measured\", \"screenMilliamps\": 50"));
        assertThat(response.statusCode()).isEqualTo(400);
        assertThat(response.body()).contains("screenMilliamps").contains("is not less than cathode current");
    }

    @Test
    void namesWhatIsMissing() {
        Map<String, String> missing = Map.of(
                "\"senseVolts\": null",
                "senseVolts",
                "\"platePoint\": \"b-plus\"",
                "halfPrimaryOhms",
                "\"screenWay\": \"measured\"",
                "screenMilliamps",
                "\"method\": \"cathode-milliamps\"",
                "milliamps");
        missing.forEach((change, field) -> assertThat(post(changed(change)).body())
                .contains("\"field\":\"" + field + "\"")
                .contains("Missing"));
    }

    @Test
    void theOpenApiDocumentDescribesIt() {
        String document =
                new Visitor(RunningApplication.url()).get("/v3/api-docs").body();
        JsonNode schemas = json(document).get("components").get("schemas");
        assertThat(schemas.get("IdleRequest").get("properties").propertyNames())
                .contains("tubeType", "halfPrimaryOhms", "senseTolerancePercent", "biasKind");
        assertThat(schemas.get("IdleResponse").get("properties").propertyNames())
                .containsExactlyInAnyOrder(
                        "plateVolts",
                        "cathodeMilliamps",
                        "screenMilliamps",
                        "plateMilliamps",
                        "dissipationWatts",
                        "plusMinusWatts",
                        "percentOfRating",
                        "verdict",
                        "notes");
        assertThat(json(document)
                        .get("paths")
                        .get("/api/idle")
                        .get("post")
                        .get("responses")
                        .propertyNames())
                .contains("200", "400");
    }
}
