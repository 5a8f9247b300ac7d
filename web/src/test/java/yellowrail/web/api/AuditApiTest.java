package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.web.api.Api.answer;
import static yellowrail.web.api.Api.faults;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import yellowrail.web.RunningApplication;

@ExtendWith(RunningApplication.class)
class AuditApiTest {

    private static JsonNode audit(int triodes) {
        return answer("/api/audit", """
                {"nodes": [{"label": "A", "volts": 402, "plusMinus": 0.1},
                           {"label": "B", "volts": 381.5, "plusMinus": 0.1}],
                 "parts": [{"from": "A", "to": "B", "ohms": 152, "tolerancePercent": 1},
                           {"from": "A", "to": "ground", "ohms": 220000, "watts": 2}],
                 "draws": [{"node": "B", "milliamps": 60, "plusMinus": 0.6},
                           {"node": "B", "milliamps": 60, "plusMinus": 0.6},
                           %s]}""".formatted(IntStream.range(0, triodes)
                .mapToObj(i -> "{\"node\": \"B\", \"milliamps\": 3.9, \"plusMinus\": 0.1}")
                .collect(Collectors.joining(","))));
    }

    @Test
    void everyMilliampIsAccountedFor() {
        JsonNode audit = audit(4);
        JsonNode choke = audit.get("currents").get(0);
        assertThat(choke.get("from").stringValue()).isEqualTo("A");
        assertThat(choke.get("to").stringValue()).isEqualTo("B");
        assertThat(choke.get("milliamps").doubleValue()).isCloseTo(134.868, within(0.001));
        assertThat(choke.get("plusMinus").doubleValue()).isCloseTo(Math.hypot(1.349, 0.930), within(0.01));
        assertThat(choke.get("watts").doubleValue()).isCloseTo(2.765, within(0.001));
        assertThat(choke.get("percentOfRating").isNull()).isTrue();
        JsonNode bleeder = audit.get("currents").get(1);
        assertThat(bleeder.get("milliamps").doubleValue()).isCloseTo(1.827, within(0.001));
        assertThat(bleeder.get("percentOfRating").doubleValue()).isCloseTo(36.73, within(0.01));
        assertThat(audit.get("residues")).hasSize(1);
        JsonNode residue = audit.get("residues").get(0);
        assertThat(residue.get("node").stringValue()).isEqualTo("B");
        assertThat(residue.get("milliamps").doubleValue()).isCloseTo(-0.732, within(0.001));
        assertThat(residue.get("explained").booleanValue()).isTrue();
    }

    @Test
    void aStageThatWasNotReadIsLeftOver() {
        JsonNode residue = audit(3).get("residues").get(0);
        assertThat(residue.get("milliamps").doubleValue()).isCloseTo(3.168, within(0.001));
        assertThat(residue.get("explained").booleanValue()).isFalse();
    }

    @Test
    void aNodeAloneIsNoSupplyAndNoFault() {
        JsonNode audit = answer("/api/audit", "{\"nodes\": [{\"label\": \"A\", \"volts\": 402}]}");
        assertThat(audit.get("currents")).isEmpty();
        assertThat(audit.get("residues")).isEmpty();
    }

    @Test
    void everyFaultIsToldAtItsField() {
        assertThat(faults("/api/audit", """
                        {"nodes": [{"label": "A", "volts": 4000}, {"label": "A", "volts": 1},
                          {"label": "ground", "volts": 0},
                          {"volts": NaN, "plusMinus": -1}],
                         "parts": [{"from": "A", "to": "A", "ohms": 0}, {"from": "X", "to": "ground", "ohms": 1}],
                         "draws": [{"node": "ground", "milliamps": 1}, {"node": "A", "milliamps": "much"}]}"""))
                .contains(
                        "nodes[0].volts",
                        "nodes[1].label",
                        "nodes[2].label",
                        "nodes[3].label",
                        "nodes[3].volts",
                        "nodes[3].plusMinus",
                        "parts[0].to",
                        "parts[0].ohms",
                        "parts[1].from",
                        "draws[0].node",
                        "draws[1].milliamps");
        assertThat(faults("/api/audit", "{}")).contains("nodes");
    }
}
