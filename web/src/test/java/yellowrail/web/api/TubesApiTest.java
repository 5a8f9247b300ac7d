package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.web.api.Api.answer;
import static yellowrail.web.api.Api.faults;

import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class TubesApiTest {

    private static final String QUAD = """
            [{"label": "a", "milliamps": 34.1}, {"label": "b", "milliamps": 36.9}, {"label": "c", "milliamps": 34.6},
             {"label": "d", "milliamps": 37.2}]""";

    /** 34.1 + 37.2 = 71.3 against 36.9 + 34.6 = 71.5. */
    @Test
    void placesTwoUnlikePairsOneOfEachOnEitherSide() {
        JsonNode placed = answer("/api/placing", """
                {"tubes": %s, "sockets": [{"label": "V1", "side": "push"}, {"label": "V2", "side": "push"},
                 {"label": "V3", "side": "pull"}, {"label": "V4", "side": "pull"}]}""".formatted(QUAD));
        assertThat(placed.get("imbalanceMilliamps").get("mono").doubleValue()).isCloseTo(0.2, within(1e-9));
        Set<String> push = Set.of(
                placed.get("assignment").get("V1").stringValue(),
                placed.get("assignment").get("V2").stringValue());
        assertThat(push).isIn(Set.of("a", "d"), Set.of("b", "c"));
    }

    @Test
    void placesByChannel() {
        JsonNode placed = answer("/api/placing", """
                {"tubes": %s, "sockets": [{"label": "V1", "side": "push", "channel": "left"}, {"label": "V2",
                 "side": "pull", "channel": "left"},
                 {"label": "V3", "side": "push", "channel": "R"},
                  {"label": "V4", "side": "pull", "channel": "R"}]}""".formatted(QUAD));
        double left = placed.get("imbalanceMilliamps").get("left").doubleValue();
        double right = placed.get("imbalanceMilliamps").get("R").doubleValue();
        assertThat(left + right).isCloseTo(0.8, within(1e-9));
    }

    /** Pairs 34.1-34.6 and 36.9-37.2: 0.5 and 0.3 mA; 0.3 comes first. */
    @Test
    void matchesPairsLeastDifferenceFirst() {
        JsonNode matched = answer("/api/match", "{\"groupSize\": 2, \"tubes\": %s}".formatted(QUAD));
        assertThat(matched.get("groups")).hasSize(2);
        assertThat(matched.get("groups").get(0).get("spreadMilliamps").doubleValue())
                .isCloseTo(0.3, within(1e-9));
        assertThat(matched.get("groups").get(0).get("tubes").get(0).get("label").stringValue())
                .isEqualTo("b");
        assertThat(matched.get("leftovers")).isEmpty();
        JsonNode close =
                answer("/api/match", "{\"groupSize\": 2, \"toleranceMilliamps\": 0.4, \"tubes\": %s}".formatted(QUAD));
        assertThat(close.get("groups")).hasSize(1);
        assertThat(close.get("leftovers").toString()).isEqualTo("[\"a\",\"c\"]");
        assertThat(close.get("method").stringValue()).contains("exact");
    }

    @Test
    void everyFaultOfAListHasItsPlace() {
        assertThat(faults("/api/match", """
                {"groupSize": 2.5, "tubes": [{"label": "a", "milliamps": "34"}, 7, {"label": "a", "milliamps": 0},
                 {"milliamps": 3, "colour": 1}]}"""))
                .contains(
                        "tubes[0].milliamps",
                        "Expected a number from 0.01 to 2000, got \u201c34\u201d",
                        "tubes[1]",
                        "Expected an object, got \u201c7\u201d",
                        "tubes[2].label",
                        "stands twice",
                        "tubes[2].milliamps",
                        "tubes[3].label",
                        "tubes[3].colour",
                        "groupSize",
                        "whole number");
        assertThat(faults("/api/match", "{\"groupSize\": 9, \"tubes\": {}}"))
                .contains("Expected a list of 2 to 5000 objects", "Expected a number from 2 to 8");
        assertThat(faults(
                        "/api/placing",
                        "{\"tubes\": %s, \"sockets\": [{\"label\": \"V1\", \"side\": \"left\"}]}".formatted(QUAD)))
                .contains("Expected one of push, pull, single, got \u201cleft\u201d");
        assertThat(faults(
                        "/api/placing",
                        "{\"tubes\": %s, \"sockets\": [{\"label\": \"V1\", \"side\": \"push\"}]}".formatted(QUAD)))
                .contains("4 tubes for 1 sockets");
        String fourChannels = """
                {"tubes": %s, "sockets": [{"label": "V1", "side": "push", "channel": "a"},
                 {"label": "V2", "side": "push", "channel": "b"}, {"label": "V3", "side": "push", "channel": "c"},
                 {"label": "V4", "side": "push", "channel": "d"}]}""".formatted(QUAD);
        assertThat(faults("/api/placing", fourChannels)).contains("sockets[3].channel", "At most 3 channels");
        assertThat(faults("/api/match", "[]")).contains("The body must be a JSON object");
    }

    @Test
    void matchesTwoThousand() {
        String tubes = IntStream.range(0, 2000)
                .mapToObj(i -> "{\"label\": \"T%d\", \"milliamps\": %.2f, \"transconductance\": %.2f}"
                        .formatted(i, 30 + (i * 7919 % 1000) / 100.0, 5 + (i * 104729 % 200) / 100.0))
                .collect(Collectors.joining(",", "[", "]"));
        assertThat(answer("/api/match", "{\"groupSize\": 2, \"tubes\": %s}".formatted(tubes))
                        .get("groups"))
                .hasSize(1000);
    }

    @Test
    void checksASwapLineByLine() {
        JsonNode stopped = answer("/api/swap-check", """
                {"in": "6L6GC", "wants": "6V6GT", "tubes": 2, "plateVolts": 425, "screenVolts": 425,
                 "cathodeMilliamps": 36}""");
        assertThat(stopped.get("verdict").stringValue()).isEqualTo("do-not");
        assertThat(stopped.get("lines").toString())
                .contains("425.0 V here, 6V6GT stands 315 V.", "425.0 V here, 6V6GT stands 285 V.");
        JsonNode changes = answer("/api/swap-check", """
                {"in": "6L6GC", "wants": "EL34", "tubes": 4, "plateVolts": 425, "screenVolts": 420,
                 "cathodeMilliamps": 36, "biasVolts": -46, "biasColdestVolts": -56, "biasHottestVolts": -32,
                 "heaterWindingAmps": 5, "otherHeaterAmps": 1.2, "gridLeakOhms": 220000, "pinOne": "nothing"}""");
        assertThat(changes.get("lines").toString())
                .contains("7.2 A of 5 A: 2.2 A too much.", "Pin 1 of EL34 is its suppressor");
        assertThat(changes.get("lines"))
                .extracting(line -> line.get("source").stringValue())
                .hasSize(15)
                .doesNotContain("")
                .contains(
                        "Catalogue, published data sheets.",
                        "Heater currents: catalogue. Winding and the rest: amp sheet.",
                        "Limit with fixed bias: design-centre, published data sheet.",
                        "Bulb: typical for the type, makers differ. Room: amp sheet.");
        assertThat(faults("/api/swap-check", """
                {"in": "6P3S", "wants": 5, "tubes": 0, "rectifier": "valve", "biasColdestVolts": -30,
                 "biasHottestVolts": -50, "gridLeakOhms": "220k", "note": ""}"""))
                .contains(
                        "\u201c6P3S\u201d is not in the catalogue",
                        "wants",
                        "Expected text",
                        "tubes",
                        "\u201cvalve\u201d is not known",
                        "The coldest stop",
                        "gridLeakOhms",
                        "There is no such field");
    }

    @Test
    void theOpenApiDocumentTellsThem() {
        String document =
                new Visitor(RunningApplication.url()).get("/v3/api-docs").body();
        assertThat(document)
                .contains(
                        "/api/match",
                        "/api/placing",
                        "/api/swap-check",
                        "toleranceMilliamps",
                        "imbalanceMilliamps",
                        "heaterWindingAmps");
    }
}
