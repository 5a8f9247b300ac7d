package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static yellowrail.web.api.Api.answer;
import static yellowrail.web.api.Api.faults;

import java.util.Locale;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import yellowrail.web.RunningApplication;

@ExtendWith(RunningApplication.class)
class SoakApiTest {

    /** Readings every 20 s, 0.3 % noise. */
    private static String samples(String value, int count, long seed, DoubleUnaryOperator truth) {
        Random chance = new Random(seed);
        return IntStream.range(0, count)
                .mapToObj(i -> String.format(
                        Locale.ROOT,
                        "{\"minutes\": %.4f, \"%s\": %.4f}",
                        i / 3.0,
                        value,
                        truth.applyAsDouble(i / 3.0) * (1 + 0.003 * chance.nextGaussian())))
                .collect(Collectors.joining(",", "[", "]"));
    }

    private static String point(String label, long seed, DoubleUnaryOperator truth) {
        return "{\"label\": \"%s\", \"samples\": %s}".formatted(label, samples("value", 61, seed, truth));
    }

    @Test
    void aCreepingTubeBesideASteadyOne() {
        JsonNode soak = answer(
                "/api/soak",
                "{\"points\": [%s, %s], \"limit\": 45, \"noisePercent\": 0.3}"
                        .formatted(point("V1", 1, t -> 36.4 * (1 + 0.005 * t)), point("V2", 2, t -> 35.9)));

        JsonNode creeps = soak.get("points").get(0);
        assertThat(creeps.get("state").stringValue()).isEqualTo("creeping");
        assertThat(creeps.get("rateLow").doubleValue()).isBetween(0.05, 0.5);
        assertThat(creeps.get("rateHigh").doubleValue())
                .isGreaterThan(creeps.get("rateLow").doubleValue());
        // 40.04 at 20 min, 0.182 a minute: 45 is 27 min on.
        assertThat(creeps.get("minutesToLimit").doubleValue()).isBetween(22.0, 33.0);
        assertThat(soak.get("points").get(1).get("state").stringValue()).isEqualTo("steady");
        assertThat(soak.get("points").get(1).get("minutesToLimit").isNull()).isTrue();
        assertThat(soak.get("common").stringValue()).isEqualTo("none");
    }

    @Test
    void theMainsIsTakenOutAndTold() {
        DoubleUnaryOperator mains = t -> 118 * (1 + 0.002 * t);
        JsonNode soak = answer(
                "/api/soak",
                "{\"points\": [%s], \"mains\": %s}"
                        .formatted(
                                point("V1", 1, t -> 36.4 * Math.pow(1 + 0.002 * t, 1.5)),
                                samples("volts", 61, 4, mains)));

        assertThat(soak.get("common").stringValue()).isEqualTo("mains");
        assertThat(soak.get("points").get(0).get("state").stringValue()).isEqualTo("steady");
    }

    @Test
    void tooFewReadingsHaveNoRate() {
        JsonNode point = answer(
                        "/api/soak",
                        "{\"points\": [{\"label\": \"V1\", \"samples\": [{\"minutes\": 0, \"value\": 36.4}]}]}")
                .get("points")
                .get(0);

        assertThat(point.get("state").stringValue()).isEqualTo("unknown");
        assertThat(point.get("ratePercentPerMinute").isNull()).isTrue();
        assertThat(point.get("askAgainAtMinutes").doubleValue()).isPositive();
    }

    @Test
    void aHundredThousandSamplesAreTaken() {
        String many = samples("value", 100_000, 5, t -> 36.4);

        JsonNode point = answer("/api/soak", "{\"points\": [{\"label\": \"V1\", \"samples\": %s}]}".formatted(many))
                .get("points")
                .get(0);

        assertThat(point.get("state").stringValue()).isEqualTo("steady");
        assertThat(point.get("notes").toString()).contains("thinned");
    }

    @Test
    void everyFaultIsToldAtItsField() {
        assertThat(faults("/api/soak", """
                        {"points": [{"label": "V1", "samples": [{"minutes": 0, "value": 0},
                         {"minutes": NaN, "value": -3}, {"minutes": 2, "value": "36.4"}]},
                         {"label": "V1", "samples": []}], "limit": -1}"""))
                .contains(
                        "points[0].samples[0].value",
                        "points[0].samples[1].minutes",
                        "points[0].samples[1].value",
                        "points[0].samples[2].value",
                        "points[1].label",
                        "limit");
        assertThat(faults("/api/soak", "{\"points\": []}")).contains("points");
        assertThat(faults("/api/soak", "{\"points\": [{\"label\": \"V1\"}]}")).contains("points[0].samples");
    }
}
