package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.web.api.Api.json;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import yellowrail.web.RunningApplication;

/** A log played again over HTTP. */
@ExtendWith(RunningApplication.class)
class RunApiTest {

    private static final Instant EVENING = Instant.parse("2026-03-01T19:00:00Z");
    private static final String PAIR = """
            {"tubeType": "6L6GC", "tubes": 2, "biasKind": "fixed-adjustable", "plateReference": "cathode",
             "acceptedPlateVolts": 460}""";

    /** Lines are typed a minute apart; one in angle brackets is confirmed, one in braces is a changed amp. */
    private static String body(String amp, String... lines) {
        List<String> items = new ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            String at = EVENING.plusSeconds(60L * i).toString();
            items.add(
                    lines[i].startsWith("{")
                            ? "{\"at\": \"%s\", \"amp\": %s}".formatted(at, lines[i])
                            : lines[i].startsWith("<")
                                    ? "{\"at\": \"%s\", \"line\": \"%s\", \"confirmed\": true}"
                                            .formatted(at, lines[i].substring(1, lines[i].length() - 1))
                                    : "{\"at\": \"%s\", \"line\": \"%s\"}".formatted(at, lines[i]));
        }
        return "{\"amp\": %s, \"log\": [%s]}".formatted(amp, String.join(", ", items));
    }

    private static JsonNode run(String amp, String... lines) {
        HttpResponse<String> response = Api.post("/api/run", body(amp, lines));
        assertThat(response.statusCode()).as(response.body()).isEqualTo(200);
        assertThat(response.headers().firstValue("Set-Cookie")).isEmpty();
        return json(response.body());
    }

    private static double number(JsonNode from, String field) {
        return from.get(field).doubleValue();
    }

    private static Stream<JsonNode> each(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false);
    }

    private static List<String> codes(JsonNode answer) {
        return each(answer.get("findings"))
                .map(found -> found.get("code").stringValue())
                .toList();
    }

    @Test
    void aQuadOverItsRatingIsSwitchedOffToChangeItsResistors() {
        JsonNode answer = run("""
                {"tubeType": "EL84", "tubes": 4, "biasKind": "cathode-shared", "ohms": 130,
                 "plateReference": "cathode", "acceptedPlateVolts": 350,
                 "sockets": [{"label": "V1", "side": "push", "testPoint": "L"}, {"label": "V2", "side": "pull",
                  "testPoint": "L"},
                             {"label": "V3", "side": "push", "testPoint": "R"}, {"label": "V4", "side": "pull",
                              "testPoint": "R"}]}""", "on 20", "L 11.3 R 11.3 plate 340");
        assertThat(answer.get("tubes")).allSatisfy(tube -> {
            assertThat(tube.get("verdict").stringValue()).isEqualTo("over-rating");
            assertThat(number(tube, "dissipationWatts")).isCloseTo(13.3, within(0.05));
            assertThat(number(tube, "percentOfRating")).isCloseTo(111, within(0.5));
            assertThat(tube.get("fresh").booleanValue()).isTrue();
        });
        assertThat(answer.get("switchOff").booleanValue()).isFalse();
        assertThat(answer.get("move").get("kind").stringValue()).isEqualTo("off");
        assertThat(number(answer.get("move"), "fromOhms")).isCloseTo(130, within(0.5));
        assertThat(number(answer.get("move"), "toOhms")).isBetween(170.0, 190.0);
    }

    @Test
    void noResistorBringsAWeakPairThere() {
        JsonNode answer = run("""
                {"tubeType": "6V6GT", "tubes": 2, "biasKind": "cathode-shared", "ohms": 470,
                 "plateReference": "cathode"}""", "on 20", "<TP 6.0 plate 300>");
        assertThat(answer.get("tubes").get(0).get("verdict").stringValue()).isEqualTo("cold");
        assertThat(answer.get("move").get("kind").stringValue()).isEqualTo("none");
        assertThat(codes(answer)).contains("no-resistor-brings-them");
    }

    @Test
    void anotherTypeIsJudgedByItsOwnLimitsAndTheAcceptanceDoesNotCoverIt() {
        JsonNode answer = run(
                PAIR, "on 20", "V1 24 V2 24 plate 440", "off", "tube V1 6V6GT new", "on 12", "<V1 18 V2 24 plate 430>");
        JsonNode six = answer.get("tubes").get(0);
        assertThat(six.get("type").stringValue()).isEqualTo("6V6GT");
        assertThat(number(six, "percentOfRating")).isCloseTo(100 * number(six, "dissipationWatts") / 12, within(0.01));
        assertThat(codes(answer)).contains("plate-over-limit", "nothing-hotter");
        assertThat(answer.get("move").get("kind").stringValue()).isEqualTo("none");
    }

    @Test
    void aRunawayIsAskedAboutThenSwitchedOff() {
        String ground = PAIR.replace("\"cathode\"", "\"ground\"");
        JsonNode asked = run(ground, "on 20", "plate 452", "V1 145");
        assertThat(asked.get("asked").get(0).get("index").intValue()).isEqualTo(2);
        assertThat(asked.get("asked").get(0).get("asks").stringValue())
                .startsWith("If it is real: 62")
                .contains("207 %", "switch off now");
        assertThat(asked.get("tubes").get(0).get("verdict").stringValue())
                .as("asked lines do not count")
                .isEqualTo("not-judged");
        JsonNode kept = run(ground, "on 20", "plate 452", "<V1 145>");
        assertThat(kept.get("switchOff").booleanValue()).isTrue();
        assertThat(kept.get("move").isNull()).isTrue();
        assertThat(codes(kept).get(0)).isEqualTo("switch-off-now");
    }

    @Test
    void withAPotForEachTubeTheFarthestIsTurnedAndNotQuestioned() {
        String four = """
                {"tubeType": "6L6GC", "tubes": 4, "plateReference": "cathode", "acceptedPlateVolts": 460, "pots": [
                 {"name": "P1", "action": "tube", "sockets": ["V1"], "hotter": "clockwise"}, {"name": "P2",
                  "action": "tube", "sockets": ["V2"], "hotter": "clockwise"},
                 {"name": "P3", "action": "tube", "sockets": ["V3"], "hotter": "clockwise"}, {"name": "P4",
                  "action": "tube", "sockets": ["V4"], "hotter": "clockwise"}]}""";
        String[] read = {"on 20", "V1 42.6 V2 44.5 V3 30 V4 41 plate 445"};
        JsonNode move = run(four, read).get("move");
        assertThat(List.of(
                        move.get("kind").stringValue(),
                        move.get("pot").stringValue(),
                        move.get("direction").stringValue(),
                        move.get("testPoint").stringValue(),
                        move.get("unit").stringValue()))
                .containsExactly("turn", "P3", "clockwise", "V3", "mV");
        JsonNode then = run(four, read[0], read[1], "turn P3 clockwise", "V3 %.1f".formatted(number(move, "reading")));
        assertThat(then.get("asked")).isEmpty();
        assertThat(then.get("move").get("pot").stringValue()).isNotEqualTo("P3");
    }

    @Test
    void anotherRectifierBeginsAnotherSupplyLine() {
        String tube = PAIR.replace("}", ", \"rectifier\": \"GZ34\"}");
        String[] before = {"on 20", "V1 50 V2 50 plate 390"};
        JsonNode first = run(tube, before).get("supplyLine");
        JsonNode second = run(
                        tube,
                        before[0],
                        before[1],
                        "off",
                        PAIR.replace("}", ", \"rectifier\": \"silicon\"}"),
                        "on 20",
                        "V1 45.5 V2 45.5 plate 430")
                .get("supplyLine");
        assertThat(first.get("points").intValue()).isEqualTo(1);
        assertThat(second.get("points").intValue()).isEqualTo(1);
        assertThat(number(second, "openVolts")).isGreaterThan(430);
    }

    @Test
    void oneAdapterIsCarriedFromSocketToSocket() {
        String adapter = PAIR.replace("}", ", \"method\": \"cathode-milliamps\"}");
        assertThat(codes(run(adapter, "on 15", "V1 35 plate 451"))).contains("taken-as-alike", "probe-next");
        JsonNode both = run(adapter, "on 15", "V1 35 plate 451", "off", "on 12", "V2 34");
        assertThat(both.get("move").get("kind").stringValue()).isEqualTo("turn");
        assertThat(codes(both)).doesNotContain("taken-as-alike");
        assertThat(both.get("tubes"))
                .allSatisfy(tube -> assertThat(tube.get("fresh").booleanValue()).isTrue());
    }

    @Test
    void aPlacingIsNoBalancePotAndTypedDigitsCount() {
        assertThat(run(
                                PAIR,
                                "on 20",
                                "plate 460",
                                "V1 25 V2 30",
                                "off",
                                "tube V1 6L6GC A2",
                                "tube V2 6L6GC A1",
                                "on 15",
                                "V1 30",
                                "V2 25")
                        .get("asked"))
                .isEmpty();
        String shared = """
                {"tubeType": "EL34", "tubes": 2, "method": "sense-shared", "ohms": 12.4, "shows": "V",
                 "plateReference": "cathode"}""";
        double fine =
                number(run(shared, "on 20", "TP 1.50 plate 400").get("tubes").get(0), "plusMinusWatts");
        double coarse =
                number(run(shared, "on 20", "TP 1.5 plate 400").get("tubes").get(0), "plusMinusWatts");
        assertThat(fine).as("two counts of 0.01 V, not of 0.1").isLessThanOrEqualTo(coarse);
    }

    @Test
    void anImpossibleSupplyIsRefusedAndNothingIsStored() {
        JsonNode answer =
                run(PAIR, "on 20", "V1 30 V2 30 plate 450", "turn RANGE clockwise", "<V1 40 V2 40 plate 455>");
        assertThat(answer.get("supplyLine").isNull()).isTrue();
        assertThat(run(PAIR).get("tubes").get(0).get("verdict").stringValue()).isEqualTo("not-judged");
    }

    @Test
    void undoTicksAndFaultsAreOfTheGrammar() {
        JsonNode answer =
                run(PAIR, "undo", "tick load; on 20", "V1 30 V2 30 plate 450", "undo", "V1 thirty", "mains 120");
        assertThat(each(answer.get("refused"))
                        .map(refused -> refused.get("index").intValue()))
                .containsExactly(0, 4);
        assertThat(answer.get("refused").get(0).get("says").stringValue()).isEqualTo("There is nothing to undo.");
        assertThat(answer.get("tubes").get(0).get("verdict").stringValue())
                .as("undo struck the plate voltage")
                .isEqualTo("not-judged");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'{\"log\": []}' | amp",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2}}' | log",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 9}, \"log\": []}' | amp.tubes",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2, \"method\": \"guess\"}, \"log\": []}' | amp.method",
                "'{\"amp\": {\"tubeType\": \"EL84\", \"tubes\": 2, \"biasKind\": \"cathode-shared\"}, \"log\": "
                        + "[]}' | amp.ohms",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2, \"sockets\": [{\"label\": \"V1\"}]}, "
                        + "\"log\": []}' | amp.sockets",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2, \"pots\": [{\"name\": \"P\", \"action\": "
                        + "\"tube\", \"sockets\": [\"V9\"]}]}, \"log\": []}' | amp.pots[0].sockets",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2, \"target\": {\"low\": 70, \"aim\": 60, "
                        + "\"high\": 50}}, \"log\": []}' | amp.target.aim",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2}, \"log\": [{\"at\": \"tea time\", \"line\": "
                        + "\"on\"}]}' | log[0].at",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2}, \"log\": [{\"at\": "
                        + "\"2026-03-01T19:05:00Z\"}]}' | log[0].line",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2}, \"log\": [{\"at\": "
                        + "\"2026-03-01T19:05:00Z\", \"line\": \"on\"}, {\"at\": \"2026-03-01T19:04:00Z\", "
                        + "\"line\": \"off\"}]}' | log[1].at",
                "'{\"amp\": {\"tubeType\": \"6L6GC\", \"tubes\": 2, \"rectifier\": \"XX9\"}, \"log\": []}' | "
                        + "amp.rectifier"
            })
    void faultsAreToldBesideTheirField(String body, String field) {
        HttpResponse<String> response = Api.post("/api/run", body);
        assertThat(response.statusCode()).isEqualTo(400);
        assertThat(each(json(response.body()).get("errors"))
                        .map(error -> error.get("field").stringValue()))
                .contains(field);
    }
}
