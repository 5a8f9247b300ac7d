package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.web.api.Api.answer;
import static yellowrail.web.api.Api.faults;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import yellowrail.web.RunningApplication;

@ExtendWith(RunningApplication.class)
class BiasApiTest {

    private static final String PATH = "/api/bias-supply";

    private static String tapped(String network, String more) {
        return """
                {"sourceVolts": 310, "hertz": 50, "rectifier": "half-wave", "acSeriesOhms": 82000,
                 "reservoirMicrofarads": 47, "reservoirRatedVolts": 50, "leakOhms": 220000,
                 "network": {"kind": "divider-pot", "potOhms": 10000, "lowerOhms": 22000%s}%s}
                """.formatted(network, more);
    }

    private static List<String> codes(JsonNode answer) {
        return StreamSupport.stream(answer.get("findings").spliterator(), false)
                .map(finding -> finding.get("code").stringValue())
                .toList();
    }

    @Test
    void aTapWhoseWiperIsAllThatHoldsTheGrids() {
        JsonNode answer = answer(PATH, tapped("", ", \"neededVolts\": -40"));
        assertThat(answer.get("coldestVolts").doubleValue()).isCloseTo(-45.7, within(0.1));
        assertThat(answer.get("hottestVolts").doubleValue()).isCloseTo(-31.4, within(0.1));
        assertThat(answer.get("reservoirVolts").doubleValue()).isCloseTo(45.7, within(0.1));
        assertThat(answer.get("rippleVolts").doubleValue()).isCloseTo(0.35, within(0.01));
        assertThat(answer.get("reservoirHighVolts").doubleValue()).isCloseTo(50.3, within(0.25));
        assertThat(answer.get("wiperOpenVolts").doubleValue()).isCloseTo(0, within(0.01));
        assertThat(answer.get("failSafe").booleanValue()).isFalse();
        assertThat(answer.get("inRange").booleanValue()).isTrue();
        assertThat(answer.get("travelPercent").doubleValue()).isCloseTo(40, within(2.0));
        assertThat(answer.get("parts").get(0).get("name").stringValue()).isEqualTo("series");
        assertThat(codes(answer)).contains("wiper-open-unsafe", "wiper-resistor-mends", "capacitor-over");
        JsonNode wiper = StreamSupport.stream(answer.get("faults").spliterator(), false)
                .filter(fault -> fault.get("part").stringValue().equals("wiper"))
                .findFirst()
                .orElseThrow();
        assertThat(wiper.get("outcome").stringValue()).isEqualTo("runaway");
    }

    @Test
    void aResistorToTheColdEndMendsIt() {
        JsonNode answer = answer(PATH, tapped(", \"wiperToColdOhms\": 220000", ", \"neededVolts\": -50"));
        assertThat(answer.get("failSafe").booleanValue()).isTrue();
        assertThat(answer.get("wiperOpenVolts").doubleValue()).isCloseTo(-45.7, within(0.2));
        assertThat(answer.get("inRange").booleanValue()).isFalse();
        assertThat(answer.get("travelPercent").isNull()).isTrue();
        assertThat(codes(answer))
                .contains("wiper-open-safe", "too-cold-to-reach")
                .doesNotContain("wiper-open-unsafe");
    }

    @Test
    void aRheostatOnAWindingOfItsOwn() {
        JsonNode answer = answer(PATH, """
                {"sourceVolts": 52, "hertz": 60, "rectifier": "half-wave", "acSeriesOhms": 1000,
                 "reservoirMicrofarads": 47, "feedOhms": 15000, "mainsHighPercent": 0,
                 "network": {"kind": "rheostat-shunt", "potOhms": 25000, "lowerOhms": 22000}}""");
        assertThat(answer.get("coldestVolts").doubleValue()).isCloseTo(-48.1, within(0.1));
        assertThat(answer.get("hottestVolts").doubleValue()).isCloseTo(-35.7, within(0.1));
        assertThat(answer.get("reservoirVolts").doubleValue()).isCloseTo(63.46, within(0.05));
        assertThat(answer.get("wiperOpenVolts").doubleValue()).isCloseTo(-73, within(0.5));
        assertThat(answer.get("failSafe").booleanValue()).isTrue();
        assertThat(answer.get("inRange").isNull()).isTrue();
        assertThat(codes(answer)).contains("wiper-open-lifts", "tie-the-free-end", "capacitor-needs");
        assertThat(answer.get("findings").toString()).contains("take one for 100 V");
    }

    @Test
    void aFixedDividerHasNoWiper() {
        JsonNode answer = answer(PATH, """
                {"sourceVolts": 310, "rectifier": "half-wave", "acSeriesOhms": 82000, "reservoirMicrofarads": 47,
                 "network": {"kind": "fixed", "lowerOhms": 27000}}""");
        assertThat(answer.get("coldestVolts")).isEqualTo(answer.get("hottestVolts"));
        assertThat(answer.get("wiperOpenVolts").isNull()).isTrue();
        assertThat(codes(answer)).contains("no-wiper");
    }

    @Test
    void everyFaultOfARequestIsToldAtOnce() {
        String problem = faults(PATH, """
                {"sourceVolts": 0, "rectifier": "tube", "reservoirMicrofarads": 47, "neededVolts": 40,
                 "network": {"kind": "divider-pot", "lowerOhms": -1}, "x": 1}""");
        assertThat(problem)
                .contains("sourceVolts", "rectifier", "neededVolts", "network.potOhms", "network.lowerOhms", "\"x\"");
        assertThat(faults(PATH, """
                {"sourceVolts": 310, "rectifier": "bridge", "reservoirMicrofarads": 47,
                 "network": {"kind": "fixed"}}""")).contains("network.lowerOhms", "resistor to ground");
    }

    @Test
    void theNetlistHasItsPolarity() {
        HttpResponse<String> file = Api.post("/api/bias-supply.cir", tapped("", ""));
        assertThat(file.statusCode()).isEqualTo(200);
        assertThat(file.headers().firstValue("Content-Type").orElseThrow()).startsWith("text/plain");
        assertThat(file.body()).contains("creservoir 0 reservoir 0.000047 ic=45.7", "ddiode1 reservoir x1 d", ".end");
    }
}
